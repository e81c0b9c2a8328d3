import { dequal } from "dequal/lite";
import type { Fact } from "./facts";
import { deriveJob, type Job } from "./job";

/**
 * Derives a job anew whenever its facts change, for who looks at parts of it: a part that came out equal is the very
 * object it was before, so that nothing which hangs on that part alone is worked out or drawn again.
 */
export function jobFollower(): (facts: readonly Fact[], device?: string) => Job {
  let before: Job | null = null;
  return (facts, device) => {
    before = withParts(before, deriveJob(facts, device));
    return before;
  };
}

function withParts(before: Job | null, now: Job): Job {
  if (!before) return now;
  const parts = Object.entries(now).map(([part, value]) => {
    const old = before[part as keyof Job];
    return [part, dequal(old, value) ? old : value] as const;
  });
  return Object.fromEntries(parts) as unknown as Job;
}
