import type { Identification } from "@/core";
import type { Work } from "./work";

/** The identification of a job's sheet. */
export const identifying: Work<Identification | null> = {
  start: () => new Worker(new URL("./identify.worker.ts", import.meta.url), { type: "module" }),
  here: async () => (await import("./identified")).identified,
};
