import type { Tried } from "@/core/wiring";
import type { Work } from "./work";

/** A planned circuit run as it is and with a change. */
export const trying: Work<Tried | null> = {
  start: () => new Worker(new URL("./try.worker.ts", import.meta.url), { type: "module" }),
  here: async () => (await import("./tried")).tried,
};
