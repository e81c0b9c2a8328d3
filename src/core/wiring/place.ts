/**
 * Where a lead of the motor or an end of a wire goes. In plans and facts it is a text: a terminal's id, `capped`, or
 * `joint-1` …; what is asked of it is asked of what {@link readPlace} makes of it.
 */
export type Place =
  | { readonly kind: "terminal"; readonly id: string }
  | { readonly kind: "joint"; readonly number: number }
  | { readonly kind: "capped" };

/** An end that goes nowhere, capped on its own. */
export const CAPPED = "capped";

const JOINT = /^joint-(\d+)$/;

/** What a place is. */
export function readPlace(place: string): Place {
  if (place === CAPPED) return { kind: "capped" };
  const [, number] = JOINT.exec(place) ?? [];
  return number ? { kind: "joint", number: Number(number) } : { kind: "terminal", id: place };
}

/** A joint of wires in the open, by its number from 1. */
export function jointPlace(number: number): string {
  return `joint-${number}`;
}

/** Whether a place is such a joint. */
export function isJoint(place: string): boolean {
  return readPlace(place).kind === "joint";
}
