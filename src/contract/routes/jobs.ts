import { z } from "zod";
import { fact, factUpload, upgradedFact } from "@/core";
import { route } from "../route";

const job = z.object({ job: z.uuid() });
const photo = z.object({ job: z.uuid(), photo: z.uuid() });

/** Facts of a job after a place in the order of arrival, and the place to ask from next. */
export const factsSince = z.object({
  facts: z.array(fact),
  arrival: z.number().int(),
  /** Facts kept that this version cannot read: none is lost, and none is guessed at. */
  unreadable: z.number().int().default(0),
});
export type FactsSince = z.output<typeof factsSince>;

export const listJobs = route({
  id: "listJobs",
  method: "GET",
  path: "/api/v1/jobs",
  summary: "The shop’s jobs by name and day, latest first",
  answer: z.object({ jobs: z.array(z.object({ id: z.uuid(), title: z.string(), at: z.string() })) }),
});

export const factsOfJob = route({
  id: "factsOfJob",
  method: "GET",
  path: "/api/v1/jobs/{job}/facts",
  summary: "Facts of a job, in order of arrival",
  params: job,
  absent: "There is no such job.",
  query: z.object({ after: z.coerce.number().int().min(0).max(Number.MAX_SAFE_INTEGER).default(0) }),
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
  answer: z.object({ kept: z.number().int() }),
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
