import type { Checked } from "@/core";
import type { Work } from "./work";

/** The check of a job's plan. */
export const checking: Work<Checked | null> = {
  start: () => new Worker(new URL("./check.worker.ts", import.meta.url), { type: "module" }),
  here: async () => (await import("./checked")).checked,
};
