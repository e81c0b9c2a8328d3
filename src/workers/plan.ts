import type { JobWiring } from "@/core";
import type { Work } from "./work";

/** The wiring of a job. */
export const planning: Work<JobWiring> = {
  start: () => new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" }),
  here: async () => (await import("./planned")).wired,
};
