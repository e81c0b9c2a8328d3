import * as z from "zod/mini";
import { type InsulationTest, parseMegohms, parseTemperature } from "@/core";

export const TEST_VOLTS = ["100", "250", "500", "1000"] as const;

/** An insulation test as it is typed. */
const typedTest = z.object({
  megohms: z.string(),
  temperature: z.string(),
  on: z.string(),
  testVolts: z.enum(TEST_VOLTS),
  inWell: z.enum(["no", "yes"]),
});
export type TypedInsulation = z.output<typeof typedTest>;

/**
 * What is typed makes the test, or says field by field what is wrong with it.
 *
 * @param today the day it is where the form is filled in: no test is of a later one.
 * @param windingC the winding's temperature as the job has it, where none is typed.
 */
export function insulationForm(today: () => string, windingC: number | undefined) {
  return z.pipe(
    typedTest,
    z.transform((typed, context): InsulationTest => {
      const wrong = (key: keyof TypedInsulation, message: string) =>
        context.issues.push({ code: "custom", input: typed, path: [key], message });
      const megohms = parseMegohms(typed.megohms);
      if (!megohms.ok) wrong("megohms", megohms.faults[0]?.says ?? "That is no insulation reading.");
      const read = typed.temperature.trim() === "" ? null : parseTemperature(typed.temperature);
      if (read && !read.ok) wrong("temperature", read.faults[0]?.says ?? "That is no temperature.");
      if (!/^\d{4}-\d{2}-\d{2}$/.test(typed.on)) wrong("on", "Give the day of the test.");
      else if (typed.on > today()) wrong("on", "That day is still to come.");
      if (!megohms.ok) return z.NEVER;
      const celsius = read?.ok ? read.celsius : windingC;
      return {
        on: typed.on,
        typed: typed.megohms.trim(),
        megohms: megohms.megohms,
        orMore: megohms.orMore,
        testVolts: Number(typed.testVolts),
        ...(celsius === undefined ? {} : { windingC: celsius }),
        inWell: typed.inWell === "yes",
      };
    }),
  );
}
