import { describe, expect, it } from "vitest";
import { blankTest, isDual, type TypedTest, testForm } from "./testForm";

const typed = (change: Partial<TypedTest>): TypedTest => ({ ...blankTest("35+5 440"), ...change });

function faultsOf(change: Partial<TypedTest>): Record<string, string> {
  const { error } = testForm.safeParse(typed(change));
  return Object.fromEntries((error?.issues ?? []).map(({ path, message }) => [path.join("."), message]));
}

describe("the form of a capacitor's test", () => {
  it("a meter's microfarads, of the half that is named", () => {
    expect(testForm.parse(typed({ microfarads: "4.9" }))).toEqual({
      label: "35+5 440",
      half: "fan",
      by: { way: "meter", microfarads: 4.9 },
    });
    expect(testForm.parse(typed({ half: "herm", microfarads: "34,2" }))).toMatchObject({
      half: "herm",
      by: { microfarads: 34.2 },
    });
  });

  it("a capacitor of one value has no half, whatever was chosen before", () => {
    expect(testForm.parse(typed({ label: " 7.5 370 ", half: "herm", microfarads: "7" }))).toMatchObject({
      label: "7.5 370",
      half: "single",
    });
  });

  it("under load: amps and volts at the mains' hertz; what a meter would show is not asked for", () => {
    const change = { way: "under-load", amps: "0.71", volts: "368", hertz: "50" } as const;
    expect(testForm.parse(typed(change)).by).toEqual({
      way: "under-load",
      amps: 0.71,
      volts: 368,
      hertz: 50,
    });
    expect(faultsOf({ ...change, microfarads: "nonsense" })).toEqual({});
  });

  it.each([
    ["no figure", { microfarads: "" }, { microfarads: "Give a number from 0 to 3000." }],
    ["a figure no meter has", { microfarads: "4000" }, { microfarads: "Give a number from 0 to 3000." }],
    [
      "amps and volts both missing",
      { way: "under-load" as const },
      { amps: "Give a number from 0.01 to 200.", volts: "Give a number from 1 to 2000." },
    ],
  ])("%s", (_, change, says) => {
    expect(faultsOf(change)).toEqual(says);
  });

  it("a label that is none is said beside what else is wrong", () => {
    expect(Object.keys(faultsOf({ label: "the silver one", microfarads: "x" })).sort()).toEqual([
      "label",
      "microfarads",
    ]);
  });

  it("without a label it is asked for: nothing can be held against nothing", () => {
    expect(faultsOf({ label: " ", microfarads: "5" })).toEqual({
      label: "Type what its label says, such as 5 MFD 370.",
    });
  });

  it("knows a dual by its label", () => {
    expect([isDual("45/5 440"), isDual("5 370"), isDual("88-108 330"), isDual("")]).toEqual([
      true,
      false,
      false,
      false,
    ]);
  });
});
