import { describe, expect, it } from "vitest";
import { CAUSES, type Cause } from "./causes";
import { causeWords } from "./causeWords";

const AT = { at: ["BN", "fan"], degree: "4.0 µF", swap: "exchange the start pair" };

describe("a cause in the trade's words", () => {
  it.each(CAUSES)("%s is said in whole sentences, its blanks filled", (cause) => {
    const { says, mend } = causeWords(cause, AT);
    expect(says).toMatch(/^[A-Z].*\.$/);
    expect(`${says} ${mend}`).not.toMatch(/undefined|\$\{|\(\)|,\s*\./);
    if (cause !== "as-planned") expect(mend).toMatch(/^[A-Z].*\.$/);
  });

  it.each(CAUSES)("%s has no empty place in it where no degree is known", (cause) => {
    const { says } = causeWords(cause, { ...AT, degree: "" });
    expect(says).not.toContain("about");
  });

  const AT_WIRES: readonly Cause[] = [
    "leads-exchanged",
    "lead-off",
    "wrong-terminal",
    "wrong-tap",
    "capacitor-missing",
    "capacitor-open",
    "capacitor-shorted",
    "capacitor-weak",
    "capacitor-wrong",
    "capacitor-halves-exchanged",
    "start-winding-open",
    "main-half-open",
    "start-contact-stays-open",
    "start-contact-stays-closed",
    "wrong-voltage-setting",
    "shorted-turns",
    "shaft-stuck",
    "drag",
    "turn-reversed",
  ];

  it.each(AT_WIRES)("%s: the power is off before a hand goes in", (cause) => {
    expect(causeWords(cause, AT).mend).toMatch(/^(Power off|Off)/);
  });

  it.each(["capacitor-missing", "capacitor-open", "capacitor-weak", "capacitor-wrong"] as const)(
    "%s: discharged before it is touched",
    (cause) => {
      expect(causeWords(cause, AT).mend).toContain("discharge");
    },
  );

  it("names the places, and how much", () => {
    expect(causeWords("leads-exchanged", { ...AT, at: ["BN", "WH"] }).says).toBe(
      "BN and WH are changed over.",
    );
    expect(causeWords("capacitor-weak", { ...AT, at: ["fan"] }).says).toBe(
      "The capacitor (fan) has lost capacity, about 4.0 µF.",
    );
    expect(causeWords("turn-reversed", AT).mend).toContain("exchange the start pair");
  });
});
