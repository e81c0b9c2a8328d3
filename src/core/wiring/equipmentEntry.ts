import type { Compartment } from "./compartment";

/**
 * An entry of the library of equipment: adding one is adding one file to `equipment/`, and its test; `npm run generate`
 * finds it.
 */
export interface Equipment {
  /** Where it stands in the list, the least first; in tens, so that there is room between. */
  readonly place: number;
  /**
   * Kinds of motor it is meant for, with their usual lead counts. Practised are those whose plan wants nothing that a
   * practice motor does not tell: no start gear to be read, no numbers on the leads.
   */
  readonly meantFor: readonly {
    readonly family: string;
    readonly leads: readonly number[];
    readonly practised?: boolean;
  }[];
  /** What is copied into a job and edited there. */
  readonly made: Compartment;
}
