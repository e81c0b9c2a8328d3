import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { inUsage, placeInUsage } from "./usage";

const elsewhere = (text: string) => inUsage(text, "international");

describe("words and spelling by setting", () => {
  it.each([
    ["Frame ground first, lines last.", "Frame earth first, lines last."],
    ["Use wire colors as a hint", "Use wire colours as a hint"],
    ["The winding is grounded; do not run this motor.", "The winding is earthed; do not run this motor."],
    ["three-phase, nine leads, wye", "three-phase, nine leads, star"],
    ["Wye or delta inside", "Star or delta inside"],
    ["No kind of motor in the catalog", "No kind of motor in the catalogue"],
    ["The ground-fault device tripped", "The residual-current device tripped"],
    [
      "the switch breaks the return, not the hot leg.",
      "the switch breaks the return, not the live conductor.",
    ],
    ["delta with a center tap", "delta with a centre tap"],
    ["GROUND", "EARTH"],
  ])("%s is said elsewhere as “%s”", (ours, theirs) => {
    expect(inUsage(ours, "north-american")).toBe(ours);
    expect(elsewhere(ours)).toBe(theirs);
  });

  it.each([
    "A hot motor reads high against a cold table.",
    "a hot protector has closed",
    "Ground floor fan",
    "“gray 5” is no mark of a lead.",
    "Copper underground",
    "COM, HI, MED-HI, LO, CAP (start), LINE",
    "12.4 Ω, 5 µF 440 V, CCWLE",
  ])("“%s” means the same in both", (text) => {
    expect(elsewhere(text)).toBe(text);
  });

  it("a gray lead is gray here and grey elsewhere, however the core has it, but for what is quoted", () => {
    expect(inUsage("Grey to gray/violet: “grey 5”", "north-american")).toBe("Gray to gray/violet: “grey 5”");
    expect(elsewhere("Grey to gray/violet: “gray 5”")).toBe("Grey to grey/violet: “gray 5”");
    expect(inUsage("greyhound", "north-american")).toBe("greyhound");
  });

  it("said again it stays as it is, and nothing beside the words moves", () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom("ground", "Color", "catalog", "wye"), (rest, word) => {
        const text = `${rest} ${word} ${rest}`;
        const once = elsewhere(text);
        expect(elsewhere(once)).toBe(once);
        expect(once.split(/\s/).length).toBe(text.split(/\s/).length);
      }),
    );
  });

  it("a place is named by our names alone, whatever a shop calls its own", () => {
    expect(placeInUsage("ground stud", "international")).toBe("earth stud");
    expect(placeInUsage("ground, motor board", "international")).toBe("earth, motor board");
    expect(placeInUsage("T1, gray box by the center door", "international")).toBe(
      "T1, gray box by the center door",
    );
    expect(placeInUsage("ground stud", "north-american")).toBe("ground stud");
  });
});
