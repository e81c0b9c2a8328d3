import * as z from "zod/mini";
import { factKind, named } from "../kind";

const volts = z.number().check(z.gte(20), z.lte(1000));

/** Volts of the supply, measured before it was locked off. */
export const supplySeenFact = factKind("supply-seen", {
  schema: z.object({
    kind: named("supply-seen"),
    between: volts,
    /** Of each line to the neutral or the ground. */
    legs: z.array(volts).check(z.maxLength(3)),
  }),
  change: (draft, { between, legs }, { at, by }) => {
    draft.safe.supply = { between, legs, at, by };
  },
});
