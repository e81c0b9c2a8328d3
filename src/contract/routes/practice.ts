import * as z from "zod/mini";
import {
  type FaultGrade,
  faultHandedIn,
  type Grade,
  handedIn,
  type WiringGrade,
  wiringHandedIn,
} from "@/core/practice";
import { route } from "../route";
import { outline, shaped } from "../shaped";

const person = z.string().check(z.trim(), z.minLength(1), z.maxLength(40));

/** One practice motor in a person's list of progress. */
export const practiceLine = z.object({
  id: z.uuid(),
  at: z.string(),
  family: z.string(),
  fault: z.string(),
  difficulty: z.string(),
  leadCount: z.int(),
  leadsRight: z.int(),
  isRight: z.boolean(),
  readingsTaken: z.int(),
  readingsNeeded: z.int(),
});
export type PracticeLine = z.output<typeof practiceLine>;

/** One practice wiring in a person's list. */
export const wiringLine = z.object({
  id: z.uuid(),
  at: z.string(),
  task: z.string(),
  equipment: z.string(),
  isRight: z.boolean(),
});
export type WiringLine = z.output<typeof wiringLine>;

/** One fault that was looked for, in a person's list. */
export const faultLine = z.object({
  id: z.uuid(),
  at: z.string(),
  equipment: z.string(),
  complaint: z.string(),
  cause: z.string(),
  isRight: z.boolean(),
  minutes: z.int(),
  bestMinutes: z.nullable(z.int()),
  dangers: z.int(),
});
export type FaultLine = z.output<typeof faultLine>;

export const practiceResults = route({
  id: "practiceResults",
  method: "GET",
  path: "/api/v1/practice",
  summary: "Who has practiced; with `person`, that person’s results, oldest first",
  query: z.object({ person: z.optional(person) }),
  answer: z.object({
    people: z._default(z.array(z.string()), []),
    results: z._default(z.array(practiceLine), []),
  }),
});

export const handInMotor = route({
  id: "handInMotor",
  method: "POST",
  path: "/api/v1/practice",
  summary: "Grade what a learner hands in and keep the result",
  body: handedIn,
  refused: "What was handed in does not hold together; nothing was kept.",
  answer: z.object({
    grade: shaped<Grade>(outline({ leadsRight: z.array(z.string()), leadsWrong: z.array(z.unknown()) })),
  }),
});

export const wiringResults = route({
  id: "wiringResults",
  method: "GET",
  path: "/api/v1/practice/wiring",
  summary: "A person’s wirings, oldest first",
  query: z.object({ person }),
  answer: z.object({ results: z.array(wiringLine) }),
});

export const handInWiring = route({
  id: "handInWiring",
  method: "POST",
  path: "/api/v1/practice/wiring",
  summary: "Grade a wiring that a learner hands in and keep the result",
  body: wiringHandedIn,
  refused: "What was handed in does not hold together; nothing was kept.",
  answer: z.object({ grade: shaped<WiringGrade>(outline({ right: z.boolean() })) }),
});

export const faultResults = route({
  id: "faultResults",
  method: "GET",
  path: "/api/v1/practice/fault",
  summary: "A person’s faults looked for, oldest first",
  query: z.object({ person }),
  answer: z.object({ results: z.array(faultLine) }),
});

export const handInFault = route({
  id: "handInFault",
  method: "POST",
  path: "/api/v1/practice/fault",
  summary: "Grade a fault that a learner named and keep the result",
  body: faultHandedIn,
  refused: "What was handed in does not hold together; nothing was kept.",
  answer: z.object({ grade: shaped<FaultGrade>(outline({ right: z.boolean(), minutes: z.number() })) }),
});
