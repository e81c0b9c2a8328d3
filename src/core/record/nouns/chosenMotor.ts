import * as z from "zod/mini";
import { typedPlate } from "../../motor/plate";
import { text } from "../../quantity/text";

/** The replacement that was chosen, with its plate as it was then: the stock may change, the job does not. */
export const chosenMotor = z.object({
  item: z.nullable(z.uuid()),
  name: text(80).check(z.minLength(1)),
  plate: typedPlate,
});
export type ChosenMotor = z.output<typeof chosenMotor>;
