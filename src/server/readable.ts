import type * as z from "zod/mini";
import { log } from "./log";

/**
 * What was kept as JSON, if it is what it should be still; null for what an older version or a hand left there, and the
 * log says so: one such row takes nothing else with it.
 *
 * @param where tells the row in the log.
 */
export function readable<Kept>(
  schema: z.ZodMiniType<Kept>,
  kept: unknown,
  where: Readonly<Record<string, string>>,
): Kept | null {
  const read = schema.safeParse(kept);
  if (!read.success)
    log.warn({ ...where, faults: read.error.issues.slice(0, 5) }, "a kept row cannot be read");
  return read.success ? read.data : null;
}
