import { z } from "zod";
import { factKind, named } from "../kind";

const volts = z.number().finite().min(20).max(1000);

/** Volts of the supply, measured before it was locked off. */
export const supplySeenFact = factKind("supply-seen", {
  schema: z.object({
    kind: named("supply-seen"),
    between: volts,
    /** Of each line to the neutral or the ground. */
    legs: z.array(volts).max(3),
  }),
  change: (draft, { between, legs }, { at, by }) => {
    draft.safe.supply = { between, legs, at, by };
  },
});
