import type { Floating } from "./floating";
import type { Template } from "./template";

/** Leads set on the junctions of a template. */
export interface Placement {
  readonly template: Template;
  /** The node of each lead, by place in the sheet; null for a lead that no ohms were read through yet. */
  readonly nodeOf: readonly (number | null)[];
  /** Share of the family's motors and of the ways to set their leads that this placement stands for. */
  readonly share: number;
  /** Places left on each node, on average over the builds that this placement stands for. */
  readonly room: readonly number[];
  /** The leads that float: see {@link Floating}. */
  readonly floating: Floating;
}
