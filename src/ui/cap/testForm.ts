import * as z from "zod/mini";
import { type CapacitorTest, parseCapacitor, parseNumber } from "@/core";

/** A test of a capacitor as it is typed. */
const typedTest = z.object({
  label: z.string(),
  half: z.enum(["fan", "herm"]),
  way: z.enum(["meter", "under-load"]),
  microfarads: z.string(),
  amps: z.string(),
  volts: z.string(),
  hertz: z.enum(["60", "50"]),
});
export type TypedTest = z.output<typeof typedTest>;

/** Nothing measured yet of the capacitor of this label. */
export function blankTest(label: string): TypedTest {
  return { label, half: "fan", way: "meter", microfarads: "", amps: "", volts: "", hertz: "60" };
}

/** Whether a label is of a capacitor with two halves, so that one has to be named. */
export function isDual(label: string): boolean {
  const read = parseCapacitor(label);
  return read.ok && read.label.kind === "dual";
}

/** What is typed makes the test, or says field by field what is wrong with it. */
export const testForm = z.pipe(
  typedTest,
  z.transform((typed, context): CapacitorTest => {
    const wrong = (key: keyof TypedTest, message: string) =>
      context.issues.push({ code: "custom", input: typed, path: [key], message });
    const number = (key: "microfarads" | "amps" | "volts", least: number, most: number) => {
      const value = parseNumber(typed[key]);
      if (value === null || value < least || value > most)
        wrong(key, `Give a number from ${least} to ${most}.`);
      return value ?? 0;
    };
    const read = parseCapacitor(typed.label);
    if (typed.label.trim() === "") wrong("label", "Type what its label says, such as 5 MFD 370.");
    else if (!read.ok) wrong("label", read.faults[0]?.says ?? "That is no label.");
    const by: CapacitorTest["by"] =
      typed.way === "meter"
        ? { way: "meter", microfarads: number("microfarads", 0, 3000) }
        : {
            way: "under-load",
            amps: number("amps", 0.01, 200),
            volts: number("volts", 1, 2000),
            hertz: typed.hertz === "60" ? 60 : 50,
          };
    return { label: typed.label.trim(), half: isDual(typed.label) ? typed.half : "single", by };
  }),
);
