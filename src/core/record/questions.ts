import type { Identification } from "../identify/identification";
import { type Job, sheetOf } from "./job";

/**
 * What a job asks of identification and of planning, as text: equal texts have equal answers, so that nothing is worked
 * out anew that did not change, and answers can be kept and brought by their question.
 */

/** What the wiring of a job hangs on; equal parts give an equal wiring. */
export type WiringFactsOfJob = Pick<
  Job,
  "compartment" | "wish" | "changes" | "leads" | "plates" | "capacitor" | "kicks" | "setInside" | "place"
>;

/** What of an identification the wiring hangs on. */
export type KnownAnswer = Pick<
  Identification,
  "status" | "family" | "confidence" | "roles" | "sections" | "bonded" | "unread"
>;

/** The facts and the motor that a wiring is planned for. */
export interface WiringAsked {
  readonly facts: WiringFactsOfJob;
  readonly motor: KnownAnswer | null;
}

/** Those facts of a job alone, to see whether any of them changed. */
export function wiringFactsOf(job: WiringFactsOfJob): WiringFactsOfJob {
  const { compartment, wish, changes, leads, plates, capacitor, kicks, setInside, place } = job;
  return { compartment, wish, changes, leads, plates, capacitor, kicks, setInside, place };
}

/** The job's sheet as text; empty while there are too few leads for one. */
export function identifyQuestion(job: Job): string {
  const sheet = sheetOf(job);
  return sheet ? JSON.stringify(sheet) : "";
}

/**
 * A sheet of the job's leads and nothing else: what a rehearsal is made on. What is read and told does not change it, so
 * that none is made anew for them.
 */
export function rehearsalQuestion(job: Job): string {
  const sheet = sheetOf(job);
  return sheet ? JSON.stringify({ format: sheet.format, leads: sheet.leads }) : "";
}

/** What the job's wiring is planned from, as text; empty where there is no equipment to wire to. */
export function wiringQuestion(job: Job, answer: Identification | null): string {
  if (!job.compartment) return "";
  const motor: KnownAnswer | null = answer && {
    status: answer.status,
    family: answer.family,
    confidence: answer.confidence,
    unread: answer.unread,
    roles: answer.roles,
    sections: answer.sections,
    bonded: answer.bonded,
  };
  return JSON.stringify({ facts: wiringFactsOf(job), motor } satisfies WiringAsked);
}
