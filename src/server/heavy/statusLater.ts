import { log } from "../log";
import { isQueueFull } from "../queue";
import { inThread } from "./index";
import { isAbandoned, isTooLong } from "./threads";

/** A job is weighed when nothing was written to it for so long, and where writing goes on, after so long all the same. */
const QUIET_MS = 1000;
const LATEST_MS = 15_000;

/** Since when a job waits to be weighed, and what will start it. */
interface Waiting {
  readonly sinceMs: number;
  readonly timer: NodeJS.Timeout;
}

const waiting = new Map<string, Waiting>();
/** Jobs that are being weighed: what is written meanwhile waits until they have been. */
const running = new Set<string>();

/**
 * Weighs how far a job's leads are identified, soon, for the lists: whoever wrote the facts does not wait for it, and who
 * writes reading after reading does not have each weighed. Where it cannot be done now, it is done with the next fact, or
 * when the database is next prepared.
 */
export function statusLater(shopId: string, jobId: string): void {
  const key = `${shopId} ${jobId}`;
  const before = waiting.get(key);
  clearTimeout(before?.timer);
  const sinceMs = before?.sinceMs ?? Date.now();
  const waitMs = Math.max(0, Math.min(QUIET_MS, sinceMs + LATEST_MS - Date.now()));
  // Nothing is held up by it at the end.
  const timer = setTimeout(() => weigh(shopId, jobId, key), waitMs).unref();
  waiting.set(key, { sinceMs, timer });
}

function weigh(shopId: string, jobId: string, key: string): void {
  waiting.delete(key);
  if (running.has(key)) {
    statusLater(shopId, jobId);
    return;
  }
  running.add(key);
  void inThread("lists", "keepStatus", shopId, jobId)
    .catch((error: unknown) => {
      if (isQueueFull(error) || isTooLong(error) || isAbandoned(error)) return;
      log.warn({ job: jobId, err: error }, "a job’s status could not be weighed");
    })
    .finally(() => running.delete(key));
}
