import * as z from "zod/mini";
import { ROLE_NAMES } from "../motor/role";
import { HIGHEST_READING_OHMS } from "../quantity/ohms";
import { DIFFICULTIES, PRACTICE_FAMILIES, PRACTICE_FAULTS } from "./task";

const text = (most: number) => z.string().check(z.trim(), z.maxLength(most));
const leadId = z.string().check(z.minLength(1), z.maxLength(8));
const ohms = z.number().check(z.nonnegative(), z.lte(HIGHEST_READING_OHMS));
const families = PRACTICE_FAMILIES.map(({ id }) => id);

const reading = z.union([
  z.object({ between: z.tuple([leadId, leadId]), ohms }),
  z.object({ between: z.tuple([leadId, leadId]), open: z.literal(true) }),
]);
const shellReading = z.union([
  z.object({ lead: leadId, ohms }),
  z.object({ lead: leadId, open: z.literal(true) }),
]);

/** What a learner hands in: the task by its seed and wish, every reading taken, in order, and the naming. */
export const handedIn = z.object({
  id: z.uuid(),
  person: text(40).check(z.minLength(1, { error: "a name is needed to keep the result by" })),
  seed: z.int().check(z.gte(0), z.lte(0xffffffff)),
  wish: z.object({
    family: z.enum(["surprise", ...families]),
    difficulty: z.enum(DIFFICULTIES),
    fault: z.enum(["surprise", ...PRACTICE_FAULTS]),
  }),
  readings: z.array(reading).check(z.maxLength(300)),
  frame: z.array(shellReading).check(z.maxLength(60)),
  naming: z.object({
    family: z.enum(["", ...families]),
    roles: z.record(
      leadId,
      z.object({
        role: z.enum(ROLE_NAMES),
        rank: z.optional(z.int().check(z.positive(), z.lte(12))),
        group: z.optional(z.int().check(z.positive(), z.lte(12))),
      }),
    ),
    fault: z.enum(PRACTICE_FAULTS),
  }),
});

export type HandedIn = z.output<typeof handedIn>;
