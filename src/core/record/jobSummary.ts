import * as z from "zod/mini";
import { STATUSES } from "../identify/identification";
import { COLOUR_WORD, colourLetters } from "../motor/colour";
import { type Lead, lead, leadNames } from "../motor/lead";
import { readPlate } from "../motor/plate";
import { formatHp } from "../quantity/power";
import { searchable } from "../quantity/searchable";
import type { Job } from "./job";
import { visitedUnit } from "./nouns/unit";

/** What a list shows of a job, and what it is found by: worked out from its facts when they change, kept beside them. */
export const jobSummary = z.object({
  /** Its name, or what is known of it. */
  title: z.string(),
  unit: z.nullable(visitedUnit),
  leads: z.array(z.extend(lead.def.innerType, { name: z.string() })),
  /** As far as the leads are identified. */
  status: z.enum(STATUSES),
  signed: z.boolean(),
  /** The cause that the last proof found, "" where none. */
  cause: z.string(),
  shelved: z.enum(["listed", "archived", "deleted"]),
});
export type JobSummary = z.output<typeof jobSummary>;

/** A summary without what takes weighing: that is worked out apart. */
export function summaryOf(job: Job): Omit<JobSummary, "status"> {
  const names = leadNames(job.leads);
  return {
    title: jobHeading(job),
    unit: job.unit,
    leads: job.leads.map((one) => ({ ...one, name: names.get(one.id)?.short ?? "" })),
    signed: job.proof.signed !== null,
    cause: job.proof.rounds.at(-1)?.cause ?? "",
    shelved: job.shelved,
  };
}

/** What of a job its name is made of. */
type Named = Pick<Job, "title" | "unit" | "leads" | "compartment" | "plates">;

/** What a job is called: its name, its unit, or what is known of the motor: "4 leads, condenser fan, 1/4 hp". */
export function jobHeading({ title, unit, leads, compartment, plates }: Named): string {
  if (title !== "") return title;
  if (unit) return [unit.site, unit.name, unit.position].filter((part) => part !== "").join(", ");
  const power = readPlate(Object.keys(plates.new).length > 0 ? plates.new : plates.old).plate.powerWatts?.[0];
  const known = [
    leads.length > 0 ? `${leads.length} leads` : "",
    compartment?.title.toLowerCase() ?? "",
    power === undefined ? "" : `${formatHp(power)} hp`,
  ].filter((part) => part !== "");
  return known.length > 0 ? known.join(", ") : "Nothing entered yet";
}

/** As many letters as a search looks through. */
const MOST_WORDS = 2000;
const MONTHS = [
  "january",
  "february",
  "march",
  "april",
  "may",
  "june",
  "july",
  "august",
  "september",
  "october",
  "november",
  "december",
];

/** Places on Earth are so many hours behind universal time, and so many ahead. */
const HOURS_BEHIND = -12;
const HOURS_AHEAD = 14;
const HOUR_MS = 3_600_000;

/** The days that a moment falls on, one place or another: nobody tells where a job was. */
function daysOf(at: string): string[] {
  const moment = Date.parse(at);
  if (Number.isNaN(moment)) return [];
  const days = [HOURS_BEHIND, 0, HOURS_AHEAD].map((hours) =>
    new Date(moment + hours * HOUR_MS).toISOString().slice(0, 10),
  );
  return [...new Set(days)];
}

/** Everything that a person may remember of a job, in lower case: what a search looks through. */
export function searchedWords(job: Job, at: string): string {
  const { title, unit, leads, plates, proof, label, compartment } = job;
  const days = daysOf(at);
  const words = [
    title,
    unit?.customer,
    unit?.site,
    unit?.name,
    unit?.position,
    label.unit,
    compartment?.title,
    ...leads.flatMap(leadWords),
    ...Object.values(plates.old),
    ...Object.values(plates.new),
    ...proof.rounds.flatMap(({ cause, mended }) => [cause, cause.replaceAll("-", " "), mended]),
    ...new Set(days.map((day) => `${MONTHS[Number(day.slice(5, 7)) - 1] ?? ""} ${day.slice(0, 4)}`)),
    ...days,
    ...new Set([label.who, proof.signed?.by]),
  ];
  return `${searchable(words).slice(0, MOST_WORDS).trimEnd()} `;
}

function leadWords({ colour, stripe, mark }: Lead): string[] {
  const said = (word: string | undefined) => {
    if (!word) return [];
    const letters = colourLetters(word);
    return letters ? [letters, COLOUR_WORD[letters]] : [word];
  };
  return [...said(colour), ...said(stripe), mark ?? ""];
}
