import { setPriority } from "node:os";
import { parentPort } from "node:worker_threads";
import { type Answered, failureToTell, LOADED, type Order } from "./order";
import { works } from "./work";

/** Behind the thread that answers everybody, where the cores are few. */
const BEHIND = 10;
// On Linux a thread has a priority of its own, and 0 is the one that asks; elsewhere it would be the whole process.
if (process.platform === "linux") setPriority(0, BEHIND);

parentPort?.on("message", async ({ id, what, given }: Order) => {
  const work = (works as unknown as Record<string, (...given: readonly unknown[]) => unknown>)[what];
  const answered: Answered = await Promise.resolve()
    .then(() => {
      if (!work) throw new Error(`no such work: ${what}`);
      return work(...given);
    })
    .then(
      (value) => ({ id, value }),
      (error: unknown) => ({ id, failed: failureToTell(error) }),
    );
  parentPort?.postMessage(answered);
});
parentPort?.postMessage(LOADED);
