import type { Identification } from "@/core";

const WORTH_SHOWING = 0.5;

/** Whether the best answer is shown as one: below one half it is one of several, unless nothing more can be read. */
export function isShown({ confidence, status }: Identification): boolean {
  return confidence >= WORTH_SHOWING || status === "tied" || status === "fault";
}
