import { z } from "zod";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** A step before anything is touched, done or not after all; with the volts that were read, where it is a reading. */
export const safeStepFact = factKind("safe-step", {
  schema: z.object({
    kind: named("safe-step"),
    step: text(60).min(1),
    done: z.boolean(),
    volts: z.number().finite().min(0).max(2000).optional(),
  }),
  change: (draft, { step, done, volts }, { at, by }) => {
    if (done) draft.safe.steps.set(step, { step, at, by, volts: volts ?? null });
    else draft.safe.steps.delete(step);
  },
});
