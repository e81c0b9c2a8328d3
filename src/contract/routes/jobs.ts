import * as z from "zod/mini";
import { fact, factUpload, jobSummary, unit, upgradedFact } from "@/core";
import { route } from "../route";
import { serverHistory } from "../serverHistory";

const job = z.object({ job: z.uuid() });
const photo = z.object({ job: z.uuid(), photo: z.uuid() });

/** What the server reads and writes without keeping others waiting. */
const MOST_FACTS_AN_ANSWER = 4000;

/** Facts of a job after a place in the order of arrival, and the place to ask from next. */
export const factsSince = z.object({
  facts: z.array(fact),
  arrival: z.int(),
  /** Whether more arrived than one answer holds: they are asked for from here. */
  more: z._default(z.boolean(), false),
  /** Facts kept that this version cannot read: none is lost, and none is guessed at. */
  unreadable: z._default(z.int(), 0),
  /** Null of a page that was made before this was told. */
  history: z._default(z.nullable(serverHistory), null),
});
export type FactsSince = z.output<typeof factsSince>;

/** A job as lists show it. */
export const jobLine = z.extend(jobSummary, {
  id: z.uuid(),
  /** Comes with the product, as an example. */
  demo: z.boolean(),
  at: z.string(),
});
export type JobLine = z.output<typeof jobLine>;

/** Where a page of the list begins: after the line of this time and id. Years outside of sense are no time to the database. */
const before = z.string().check(
  z.refine(
    (text) =>
      z.tuple([z.iso.datetime(), z.uuid()]).safeParse(text.split("_")).success &&
      text >= "1900" &&
      text < "2200",
    {
      error: "is no place in the list",
    },
  ),
);
const jobQuery = z.object({
  search: z._default(z.string().check(z.trim(), z.maxLength(120)), ""),
  of: z._default(z.enum(["all", "own", "demo"]), "all"),
  shelved: z._default(z.enum(["listed", "archived", "any"]), "listed"),
  before: z.optional(before),
  most: z._default(z.coerce.number().check(z.int(), z.gte(1), z.lte(200)), 200),
});
export type JobQuery = z.output<typeof jobQuery>;

export const listJobs = route({
  id: "listJobs",
  method: "GET",
  path: "/api/v1/jobs",
  summary: "The shop’s jobs, latest first, or those that every word of a search is found in",
  query: jobQuery,
  answer: z.object({
    jobs: z.array(jobLine),
    next: z
      .nullable(z.string())
      .check(z.meta({ description: "The `before` of the next page; null at the end." })),
  }),
});

export type UnitLine = z.output<typeof unit>;

export const listUnits = route({
  id: "listUnits",
  method: "GET",
  path: "/api/v1/units",
  summary: "Units that a few letters may mean",
  query: z.object({
    search: z._default(z.string().check(z.trim(), z.maxLength(120)), ""),
    most: z._default(z.coerce.number().check(z.int(), z.gte(1), z.lte(50)), 12),
  }),
  answer: z.object({ units: z.array(unit) }),
});

export const visitsOfUnit = route({
  id: "visitsOfUnit",
  method: "GET",
  path: "/api/v1/units/{unit}",
  summary: "A unit and its visits, the earliest first",
  params: z.object({ unit: z.uuid() }),
  absent: "There is no such unit.",
  answer: z.object({ unit, visits: z.array(jobLine) }),
});

export const factsOfJob = route({
  id: "factsOfJob",
  method: "GET",
  path: "/api/v1/jobs/{job}/facts",
  summary: "Facts of a job, in order of arrival, a page at a time",
  params: job,
  absent: "There is no such job.",
  query: z.object({
    after: z._default(z.coerce.number().check(z.int(), z.gte(0), z.lte(Number.MAX_SAFE_INTEGER)), 0),
    most: z._default(
      z.coerce.number().check(z.int(), z.gte(1), z.lte(MOST_FACTS_AN_ANSWER)),
      MOST_FACTS_AN_ANSWER,
    ),
  }),
  answer: factsSince,
});

export const addFacts = route({
  id: "addFacts",
  method: "POST",
  path: "/api/v1/jobs/{job}/facts",
  summary: "Add facts to a job, all or none; facts already there are passed over",
  params: job,
  absent: "There is no such job.",
  body: factUpload,
  upgrade: (written) =>
    typeof written === "object" && written !== null && "facts" in written && Array.isArray(written.facts)
      ? { ...written, facts: written.facts.map(upgradedFact) }
      : written,
  refused: "A fact does not hold together; none was kept.",
  answer: z.object({ kept: z.int() }),
  refusals: { 409: "An id stands for another fact of the job; none was kept" },
  example: {
    facts: [
      {
        id: "019c6adf-2698-7f89-84a8-17c898cd6c18",
        at: "2026-02-17T09:12:15.256Z",
        by: "Maren Osk",
        body: { kind: "title", title: "Harbour office fan coil" },
      },
    ],
  },
});

export const getPhoto = route({
  id: "getPhoto",
  method: "GET",
  path: "/api/v1/jobs/{job}/photos/{photo}",
  summary: "A photo, upright; it never changes under its id",
  params: photo,
  absent: "There is no such photo.",
  answer: { media: "image/jpeg" },
});

export const putPhoto = route({
  id: "putPhoto",
  method: "PUT",
  path: "/api/v1/jobs/{job}/photos/{photo}",
  summary: "Keep a photo under an id made where it was taken; sending it again is harmless",
  params: photo,
  absent: "There is no such job.",
  body: { media: "image/*" },
  answer: z.object({ widthPx: z.number(), heightPx: z.number() }),
  refusals: {
    409: "A job holds as many photos as it may",
    415: "Not an image",
    422: "No picture that can be read",
  },
});
