import * as z from "zod/mini";

/**
 * The outline of an answer that the core works out: what a reader relies on is checked, and the whole has the core's own
 * type. What the core computes is described there, by its type; a second description here would only drift.
 */
export function shaped<T>(outline: z.ZodMiniType): z.ZodMiniType<T> {
  return outline as z.ZodMiniType<T>;
}

/** An object of which these fields are checked and all are kept. */
export const outline = z.looseObject;
