import type { Compartment } from "./compartment";

/**
 * An entry of the library of equipment: adding one is adding one file to `equipment/`, and its test; `npm run generate`
 * finds it.
 */
export interface Equipment {
  /** Where it stands in the list, the least first; in tens, so that there is room between. */
  readonly place: number;
  /** Kinds of motor it is meant for, with their usual lead counts: what is practised on it. */
  readonly meantFor: readonly { readonly family: string; readonly leads: readonly number[] }[];
  /** What is copied into a job and edited there. */
  readonly made: Compartment;
}
