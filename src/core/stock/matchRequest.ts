import { z } from "zod";
import { readPlate, type TypedPlate, typedPlate } from "../motor/plate";
import type { Need } from "../replacement/need";

/** What a match is asked with: the old plate as typed, and the place. */
export const matchRequest = z.object({
  old: typedPlate,
  place: z.object({
    supplyVolts: z.number().finite().min(5).max(1000).optional(),
    inAirStream: z.boolean().optional(),
    roomMm: z.number().finite().positive().max(3000).optional(),
    airOpeningMm: z.number().finite().positive().max(3000).optional(),
    speedsInUse: z.number().int().min(1).max(10).optional(),
    coolingTons: z.number().finite().positive().max(50).optional(),
    heatingKilowatts: z.number().finite().positive().max(200).optional(),
    rotation: z.enum(["cw-lead-end", "ccw-lead-end", "either"]).optional(),
  }),
});
export type MatchRequest = z.output<typeof matchRequest>;

/** The need of a typed plate and its place. */
export function needOf({ old, place }: MatchRequest): Need {
  const known = Object.fromEntries(Object.entries(place).filter(([, value]) => value !== undefined));
  return { old: readPlate(old as TypedPlate).plate, ...known };
}
