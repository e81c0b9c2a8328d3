import type { Diagnosed } from "./diagnosed";
import type { Work } from "./work";

/** The diagnosis of a sheet in the form of `odd-lead/proving-sheet@1`. */
export const diagnosing: Work<Diagnosed> = {
  start: () => new Worker(new URL("./diagnose.worker.ts", import.meta.url), { type: "module" }),
  here: async () => (await import("./diagnosed")).diagnosed,
};
