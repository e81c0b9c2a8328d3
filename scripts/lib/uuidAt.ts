import type { Random } from "../../src/core/bench";

/** A UUIDv7 of a given moment, its random part from the seed: ids sort by time as the product's own do. */
export function uuidAt(ms: number, random: Random): string {
  const hex = (digits: number) =>
    Array.from({ length: digits }, () => Math.floor(random() * 16).toString(16)).join("");
  const time = ms.toString(16).padStart(12, "0");
  return `${time.slice(0, 8)}-${time.slice(8)}-7${hex(3)}-8${hex(3)}-${hex(12)}`;
}
