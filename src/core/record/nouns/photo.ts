import * as z from "zod/mini";
import { text } from "../../quantity/text";

/** A photo of the compartment; the picture itself is kept by the server under its id. */
export const photo = z.object({
  id: z.uuid(),
  caption: text(80),
  widthPx: z.int().check(z.gte(1), z.lte(20_000)),
  heightPx: z.int().check(z.gte(1), z.lte(20_000)),
});
export type Photo = z.output<typeof photo>;
