import { z } from "zod";
import { ROLE_NAMES } from "../motor/role";
import { HIGHEST_READING_OHMS } from "../quantity/ohms";
import { DIFFICULTIES, PRACTICE_FAMILIES, PRACTICE_FAULTS } from "./task";

const text = (most: number) => z.string().trim().max(most);
const leadId = z.string().min(1).max(8);
const ohms = z.number().finite().nonnegative().max(HIGHEST_READING_OHMS);
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
  person: text(40).min(1, { error: "a name is needed to keep the result by" }),
  seed: z.number().int().min(0).max(0xffffffff),
  wish: z.object({
    family: z.enum(["surprise", ...families]),
    difficulty: z.enum(DIFFICULTIES),
    fault: z.enum(["surprise", ...PRACTICE_FAULTS]),
  }),
  readings: z.array(reading).max(300),
  frame: z.array(shellReading).max(60),
  naming: z.object({
    family: z.enum(["", ...families]),
    roles: z.record(
      leadId,
      z.object({
        role: z.enum(ROLE_NAMES),
        rank: z.number().int().positive().max(12).optional(),
        group: z.number().int().positive().max(12).optional(),
      }),
    ),
    fault: z.enum(PRACTICE_FAULTS),
  }),
});

export type HandedIn = z.output<typeof handedIn>;
