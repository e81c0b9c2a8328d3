import * as z from "zod/mini";
import { FAMILY_IDS } from "../motor/families";
import { leadId } from "../motor/lead";
import { role } from "../motor/role";

/** How something beside the ohms came to be known. */
export const OBSERVED_BY = ["plate", "bump", "light-run", "drawing", "mark"] as const;

/** Something seen beside the ohms: what a lead is, or what kind of motor this is. */
export const observation = z
  .union([
    z.object({ lead: leadId, role, by: z.enum(OBSERVED_BY) }),
    z.object({ family: z.enum(FAMILY_IDS), by: z.enum(OBSERVED_BY) }),
  ])
  .check(
    z.meta({ description: "Something seen beside the ohms: what a lead is, or what kind of motor this is." }),
  );
export type Observation = z.output<typeof observation>;
