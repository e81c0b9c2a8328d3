/** Before the job's id in the storage key of its outbox. */
export const OUTBOX_PREFIX = "odd-lead:outbox:";

/** Jobs that have an outbox in this browser. Light on purpose: the first page asks it and brings no core for it. */
export function jobsWaiting(): string[] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(OUTBOX_PREFIX))
      .map((key) => key.slice(OUTBOX_PREFIX.length));
  } catch {
    return [];
  }
}
