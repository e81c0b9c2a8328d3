import { parentPort } from "node:worker_threads";
import { type Answered, failureToTell, type Order } from "./order";
import { works } from "./work";

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
