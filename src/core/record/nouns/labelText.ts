import * as z from "zod/mini";
import { text } from "../../quantity/text";

/** What a person writes on the label beside what is derived. */
export const labelText = z.object({
  unit: text(60),
  who: text(40),
  capacitorMicrofarads: text(12),
  capacitorVolts: text(12),
});
export type LabelText = z.output<typeof labelText>;
