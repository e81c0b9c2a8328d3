import * as z from "zod/mini";
import { text } from "../../quantity/text";

/** A unit that is visited: whose it is, where it stands, and which of its motors is meant. Each may be left open. */
export const unit = z.object({
  /** Made where the unit is first named; every visit of it carries the same. */
  id: z.uuid(),
  customer: z._default(text(80), ""),
  site: z._default(text(80), ""),
  /** What the unit is called there: "Rooftop 3". */
  name: text(80).check(z.minLength(1)),
});
export type Unit = z.output<typeof unit>;

/** The unit of a visit, with the place of the motor in it: "condenser fan". */
export const visitedUnit = z.extend(unit, { position: z._default(text(60), "") });
export type VisitedUnit = z.output<typeof visitedUnit>;
