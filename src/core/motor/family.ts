import type { About } from "./about";
import type { Feeding } from "./feeding";
import type { Winding } from "./network";
import type { Role, RoleName } from "./role";
import type { SoftBox } from "./softBox";

export type { About } from "./about";

/** A junction of a template: its role, and how many leads come out of it (0 hidden, 2 a duplicate lead). */
export interface TemplateNode {
  readonly role: Role | null;
  readonly leads: number;
}

/** A winding section of a template, with what is known beforehand of its ohms. */
export interface TemplateSection {
  readonly from: number;
  readonly to: number;
  readonly winding: Winding;
  /** Index of the section that `box` is a ratio to (always an earlier one), or null: then `box` is in ohms. */
  readonly ratioTo: number | null;
  readonly box: SoftBox;
}

/**
 * One way of building a motor of a family with a given number of leads: a forest of winding sections.
 * Every family here is a forest to DC: a three-lead delta is entered as the wye that no ohmmeter can tell from it.
 */
export interface Variant {
  readonly nodes: readonly TemplateNode[];
  readonly sections: readonly TemplateSection[];
  /**
   * Sets of node blocks that may change places without electrical difference. In each set all blocks have the same
   * length and are listed node by node in corresponding order.
   */
  readonly symmetries: readonly (readonly (readonly number[])[])[];
  /** Set where the build is so rare that a wrong reading is the likelier story: it is believed only with care. */
  readonly unusual?: boolean;
  /** How common this build is among the family's builds of this lead count; relative. */
  readonly weight: number;
}

/** All that the builds of a family depend on beside the lead count: what is kept of them is kept by this. */
export type ToldSpeeds = Pick<About, "speeds">;

/**
 * A kind of motor: the catalogue entry. Adding a kind is adding one file with one of these, and its test; `npm run
 * generate` finds it.
 */
export interface Family {
  readonly id: string;
  /** What it is called in a sentence: "two windings joined inside". */
  readonly title: string;
  /**
   * How common it is among unknown motors of a lead count, before anything is told. Relative; a number where that is much
   * the same for all counts it is built with.
   */
  readonly commonness: number | ((leadCount: number) => number);
  /** Builds with exactly this many leads; empty when the family has none. */
  readonly variants: (leadCount: number, told: ToldSpeeds) => readonly Variant[];
  /** Factor on `commonness` for what is told of a motor with so many leads; 1 when it says nothing, never 0. */
  readonly likelihoodOfAbout: (about: About, leadCount: number) => number;
  /** What the plate of one with so many speed taps says of its kind. */
  readonly plateTells: (speedTaps: number) => About;
  /** How the meter's answer for a role is put into words, for the reasoning. */
  readonly roleWords: (role: Role, speeds: number) => string;
  /** Roles whose leads may change places with no difference at all, direction included. */
  readonly swappable?: readonly RoleName[];
  /** How it is fed; null where no winding of it meets a wire. */
  readonly feeding: Feeding | null;
  /** The one change that reverses the motor. */
  readonly reverseBy: string;
  /** What ohms cannot tell about this family and the observation that does. */
  readonly beyondOhms: readonly string[];
}
