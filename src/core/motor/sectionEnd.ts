/**
 * An end of a winding section, as identifications name it: the id of a lead, or a junction inside that is not brought out.
 * A text, for it stands in the contract and serves as a key; what is asked of it is asked of what {@link readEnd} makes of it.
 */
export type SectionEnd = string;

/** An end, read. */
export type EndRead =
  | { readonly kind: "lead"; readonly id: string }
  | { readonly kind: "hidden"; readonly key: string };

/** No lead's id begins so. */
const HIDDEN = "*";

/** What an end is. */
export function readEnd(end: SectionEnd): EndRead {
  return end.startsWith(HIDDEN)
    ? { kind: "hidden", key: end.slice(HIDDEN.length) }
    : { kind: "lead", id: end };
}

/** A junction that is not brought out; equal keys are one junction. */
export function hiddenEnd(key: string | number): SectionEnd {
  return `${HIDDEN}${key}`;
}

export function isHiddenEnd(end: SectionEnd): boolean {
  return readEnd(end).kind === "hidden";
}
