import * as z from "zod/mini";
import { expectedOhms } from "../identify/expectedOhms";
import type { Identification } from "../identify/identification";
import { familyById } from "../motor/families";
import { labelWord } from "../motor/labelWord";
import { leadNames } from "../motor/lead";
import { motorOhms } from "./comparison";
import type { Job } from "./job";

/** The ohms of a motor that was met, by which it is known again. */
export const fingerprint = z.object({
  /** Its leads as they were called, with what each was, where that was found out. */
  leads: z
    .array(z.object({ name: z.string().check(z.maxLength(40)), was: z.string().check(z.maxLength(60)) }))
    .check(z.maxLength(12)),
  /**
   * Ohms between every two leads, in the order 0–1, 0–2, …, 1–2, …: null where it was open, −1 where nobody knows.
   */
  ohms: z.array(z.nullable(z.number())).check(z.maxLength(66)),
  /** The winding's temperature then; null where it was not told. */
  windingC: z.nullable(z.number()),
});
export type Fingerprint = z.output<typeof fingerprint>;

/** Not known. */
export const UNKNOWN_OHMS = -1;
/** A motor of fewer ohms than this is not known again. */
export const FEWEST_KNOWN = 2;

/** Where the pair of two leads stands among the ohms of so many. */
export function pairAt(one: number, other: number, count: number): number {
  const [a, b] = one < other ? [one, other] : [other, one];
  return a * count - (a * (a + 1)) / 2 + (b - a - 1);
}

/** What a job leaves to be known again by; null while it has too few readings. */
export function fingerprintOf(job: Job, answer: Identification | null): Fingerprint | null {
  const { leads } = job;
  const names = leadNames(leads);
  const settled = answer?.status === "settled" ? answer : null;
  const at = new Map(leads.map(({ id }, i) => [id, i]));
  const ohms: (number | null)[] = new Array((leads.length * (leads.length - 1)) / 2).fill(UNKNOWN_OHMS);
  if (settled)
    for (const [i, a] of leads.entries())
      for (const [j, b] of leads.entries())
        if (i < j) ohms[pairAt(i, j, leads.length)] = expectedOhms(settled, a.id, b.id);
  // What was read outranks what follows from it.
  for (const reading of motorOhms(job)) {
    const [i, j] = reading.between.map((lead) => at.get(lead));
    if (i !== undefined && j !== undefined) ohms[pairAt(i, j, leads.length)] = reading.ohms;
  }
  if (ohms.filter((one) => one !== null && one > 0).length < FEWEST_KNOWN) return null;
  const family = familyById(settled?.family ?? null);
  const roles = Object.values(settled?.roles ?? {});
  const speeds = Math.max(0, ...roles.map((role) => (role.role === "speed" ? (role.rank ?? 0) : 0)));
  return {
    leads: leads.map(({ id }) => {
      const role = settled?.roles[id];
      return {
        name: (names.get(id)?.short ?? id).slice(0, 40),
        was: role && family ? labelWord(role, speeds, family.roleWords(role, speeds)).slice(0, 60) : "",
      };
    }),
    ohms: ohms.map((one) => (one === null ? null : Number(one.toPrecision(5)))),
    windingC: job.conditions.windingC ?? null,
  };
}

/** Ohms within so much of each other, in logarithms, stand in one step of the ladder. */
const STEP = 0.03;
/** What temperature and meters may move, in steps to either side. */
const REACH = 4;

/** The steps of the ladder that a fingerprint stands on: what a search over many is narrowed by. */
export function stepsOf({ ohms }: Fingerprint): number[] {
  const known = ohms.filter((one) => one !== null && one > 0) as number[];
  return [...new Set(known.map(stepOf))].sort((a, b) => a - b);
}

/** The steps that a motor with this reading may stand on. */
export function stepsNear(ohms: number): number[] {
  const middle = stepOf(ohms);
  return Array.from({ length: 2 * REACH + 1 }, (_, i) => middle - REACH + i);
}

function stepOf(ohms: number): number {
  return Math.round(Math.log(ohms) / STEP);
}
