import { z } from "zod";
import { text } from "../../quantity/text";

/** A photo of the compartment; the picture itself is kept by the server under its id. */
export const photo = z.object({
  id: z.uuid(),
  caption: text(80),
  widthPx: z.number().int().min(1).max(20_000),
  heightPx: z.number().int().min(1).max(20_000),
});
export type Photo = z.output<typeof photo>;
