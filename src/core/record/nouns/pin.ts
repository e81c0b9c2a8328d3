import * as z from "zod/mini";
import { text } from "../../quantity/text";

/** A mark on a photo: its place as shares of width and height, and what it points at. */
export const pin = z.object({
  id: z.uuid(),
  photo: z.uuid(),
  x: z.number().check(z.gte(0), z.lte(1)),
  y: z.number().check(z.gte(0), z.lte(1)),
  says: text(60),
});
export type Pin = z.output<typeof pin>;
