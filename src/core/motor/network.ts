/** What a winding section belongs to. */
export const WINDINGS = ["main", "speed", "start", "half", "phase", "star"] as const;
export type Winding = (typeof WINDINGS)[number];

/** One winding section: a resistor between two junctions, numbered from 0. */
export interface Section {
  readonly from: number;
  readonly to: number;
  readonly ohms: number;
  readonly winding: Winding;
}

/**
 * A motor as an ohmmeter sees it: junctions joined by winding sections, some junctions brought out as leads.
 * Several leads at one junction are one conductor inside (a duplicate lead); a junction without a lead is hidden.
 */
export interface Network {
  readonly junctions: number;
  readonly sections: readonly Section[];
  /** The junction of each lead, by lead id. */
  readonly leadAt: ReadonlyMap<string, number>;
}
