import * as z from "zod/mini";
import { chosenMotor } from "../../nouns/chosenMotor";
import { factKind, named } from "../kind";

/** The replacement that was chosen. */
export const chosenFact = factKind("chosen", {
  schema: z.object({ kind: named("chosen"), motor: z.nullable(chosenMotor) }),
  unmakesReady: true,
  change: (draft, body) => {
    draft.chosen = body.motor;
    draft.plates.new = body.motor ? { ...body.motor.plate } : {};
  },
});
