import { log } from "../log";
import { isQueueFull } from "../queue";
import { inThread } from "./index";
import { isAbandoned, isTooLong } from "./threads";

/** Jobs whose status is being weighed, and whether more was written meanwhile. */
const weighed = new Map<string, { again: boolean }>();

/**
 * Weighs how far a job's leads are identified, soon, for the lists: whoever wrote the facts does not wait for it. Where it
 * cannot be done now, it is done with the next fact.
 */
export function statusLater(shopId: string, jobId: string): void {
  const key = `${shopId} ${jobId}`;
  const running = weighed.get(key);
  if (running) {
    running.again = true;
    return;
  }
  const one = { again: false };
  weighed.set(key, one);
  void inThread(`lists ${key}`, "keepStatus", shopId, jobId)
    .catch((error: unknown) => {
      if (isQueueFull(error) || isTooLong(error) || isAbandoned(error)) return;
      log.warn({ job: jobId, err: error }, "a job’s status could not be weighed");
    })
    .finally(() => {
      weighed.delete(key);
      if (one.again) statusLater(shopId, jobId);
    });
}
