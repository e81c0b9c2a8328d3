import * as z from "zod/mini";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** A step before anything is touched, done or not after all; with the volts that were read, where it is a reading. */
export const safeStepFact = factKind("safe-step", {
  schema: z.object({
    kind: named("safe-step"),
    step: text(60).check(z.minLength(1)),
    done: z.boolean(),
    volts: z.optional(z.number().check(z.gte(0), z.lte(2000))),
  }),
  change: (draft, { step, done, volts }, { at, by }) => {
    if (done) draft.safe.steps.set(step, { step, at, by, volts: volts ?? null });
    else draft.safe.steps.delete(step);
  },
});
