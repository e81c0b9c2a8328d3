import * as z from "zod/mini";
import { readPlate, type TypedPlate, typedPlate } from "../motor/plate";
import type { Need } from "../replacement/need";

/** What a match is asked with: the old plate as typed, and the place. */
export const matchRequest = z.object({
  old: typedPlate,
  place: z.object({
    supplyVolts: z.optional(z.number().check(z.gte(5), z.lte(1000))),
    inAirStream: z.optional(z.boolean()),
    roomMm: z.optional(z.number().check(z.positive(), z.lte(3000))),
    airOpeningMm: z.optional(z.number().check(z.positive(), z.lte(3000))),
    speedsInUse: z.optional(z.int().check(z.gte(1), z.lte(10))),
    coolingTons: z.optional(z.number().check(z.positive(), z.lte(50))),
    heatingKilowatts: z.optional(z.number().check(z.positive(), z.lte(200))),
    rotation: z.optional(z.enum(["cw-lead-end", "ccw-lead-end", "either"])),
  }),
});
export type MatchRequest = z.output<typeof matchRequest>;

/** The need of a typed plate and its place. */
export function needOf({ old, place }: MatchRequest): Need {
  const known = Object.fromEntries(Object.entries(place).filter(([, value]) => value !== undefined));
  return { old: readPlate(old as TypedPlate).plate, ...known };
}
