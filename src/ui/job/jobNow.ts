import type { Checked, Fact, Identification, Job, JobWiring, Lead, LeadName } from "@/core";
import type { AsideFact } from "@/store/factRow";
import type { Saving } from "@/store/jobFacts";
import type { PhotoRow } from "@/store/shelf";

/** How the leads are called on a page. */
export interface LeadNames {
  readonly names: ReadonlyMap<string, LeadName>;
  /** A lead's letters. */
  readonly short: (leadId: string) => string;
  readonly leadOf: (leadId: string) => Lead;
}

/** What the facts of the open job come to, as far as it is worked out. */
export interface JobNow {
  /** As this device has them, in the order in which they count. */
  readonly facts: readonly Fact[];
  readonly job: Job;
  readonly leadNames: LeadNames;
  /** Of the readings as they stand, or while `working` of the ones before. */
  readonly answer: Identification | null;
  readonly working: boolean;
  /** The plan for the settled motor on its equipment; while `planning` it is of the facts before. */
  readonly wiring: JobWiring;
  readonly planning: boolean;
  /** The check of the plan, worked out where somebody shows it; while `checking` it is of the plan before. */
  readonly check: Checked | null;
  readonly checking: boolean;
}

/** How far what was entered is kept and sent. */
export interface JobSaving {
  readonly saving: Saving;
  /** Facts that were refused, kept apart to be seen to. */
  readonly aside: readonly AsideFact[];
  /** Photos on their way to the server. */
  readonly photosOnWay: readonly PhotoRow[];
  /** Facts kept that this version cannot read. */
  readonly unreadable: number;
}
