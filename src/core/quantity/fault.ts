/**
 * A user's fault as a value: what was entered, where, and what to do about it. Throws are for our own bugs.
 */
export interface Fault {
  /** Closed vocabulary, for programs. */
  readonly code: string;
  /** Where in the input, outermost first; empty for the input as a whole. */
  readonly path: readonly (string | number)[];
  /** One plain sentence for a person. */
  readonly says: string;
}

/** The refusal of an input, with every fault found in it. */
export interface Refused {
  readonly ok: false;
  readonly faults: readonly Fault[];
}

/** A refusal that holds the faults given; at least one. */
export function refused(...faults: readonly Fault[]): Refused {
  return { ok: false, faults };
}
