import * as z from "zod/mini";
import { text } from "../../quantity/text";

/** Where the motor’s own leads are joined now, by wire, and by what its volts are set. */
export const boardNow = z.object({
  by: z.enum(["leads", "plug", "dial"]),
  joined: z.record(z.string().check(z.maxLength(64)), text(20)),
});
export type BoardNow = z.output<typeof boardNow>;
