import type { Fact } from "@/core";

/** Every fact of a job, in the order of arrival, as of its last write. */
export interface KnownJob {
  /** The write they are known as of; null of a job that nobody wrote to. */
  readonly lastWrite: string | null;
  readonly facts: readonly Fact[];
}

/** Jobs and facts remembered; beyond it the longest unwritten are forgotten. */
const MOST_JOBS = 400;
const MOST_FACTS = 60_000;

/**
 * Jobs as this process wrote them last, so that the next fact costs one statement. Nothing is taken from here unasked: the
 * statement holds only where the database knows the same last write, whoever else wrote meanwhile.
 */
export class KnownJobs {
  private readonly jobs = new Map<string, KnownJob>();
  private count = 0;

  of(shopId: string, jobId: string): KnownJob | undefined {
    return this.jobs.get(keyOf(shopId, jobId));
  }

  remember(shopId: string, jobId: string, known: KnownJob): void {
    this.forget(shopId, jobId);
    this.jobs.set(keyOf(shopId, jobId), known);
    this.count += known.facts.length;
    for (const [key, { facts }] of this.jobs) {
      if (this.jobs.size <= MOST_JOBS && this.count <= MOST_FACTS) return;
      this.jobs.delete(key);
      this.count -= facts.length;
    }
  }

  forget(shopId: string, jobId: string): void {
    const key = keyOf(shopId, jobId);
    this.count -= this.jobs.get(key)?.facts.length ?? 0;
    this.jobs.delete(key);
  }
}

function keyOf(shopId: string, jobId: string): string {
  return `${shopId} ${jobId}`;
}
