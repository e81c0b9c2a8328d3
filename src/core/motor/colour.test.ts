import { describe, expect, it } from "vitest";
import { COLOUR_LETTERS, COLOUR_WORD, colourLetters, couldBe, parseInsulation } from "./colour";
import { leadNames } from "./lead";

describe("insulation as a hand writes it", () => {
  it.each([
    ["WH", { colour: "white" }],
    ["wh/bk", { colour: "white", stripe: "black" }],
    ["white/black", { colour: "white", stripe: "black" }],
    ["brown with white stripe", { colour: "brown", stripe: "white" }],
    ["slate", { colour: "grey" }],
    ["purple", { colour: "violet" }],
  ])("takes %s", (text, insulation) => {
    expect(parseInsulation(text)).toEqual(insulation);
  });

  it.each(["", "zz", "WH/zz", "WH/BK/RD", "12.4"])("does not guess at “%s”", (text) => {
    expect(parseInsulation(text)).toBeNull();
  });

  it("knows every letter pair by its letters and by its word", () => {
    for (const letters of COLOUR_LETTERS) {
      expect(colourLetters(letters)).toBe(letters);
      expect(colourLetters(COLOUR_WORD[letters])).toBe(letters);
    }
  });
});

describe("naming leads", () => {
  it("tells leads of one colour apart by their marks, or by a count", () => {
    const names = leadNames([
      { id: "a", colour: "white", mark: "T1" },
      { id: "b", colour: "white", mark: "T2" },
      { id: "c", colour: "brown" },
      { id: "d", colour: "brown" },
      { id: "e", colour: "white", stripe: "black" },
      { id: "f" },
    ]);
    expect([...names.values()].map((n) => n.short)).toEqual(["WH T1", "WH T2", "BN 1", "BN 2", "WH/BK", "f"]);
    expect(names.get("e")?.long).toBe("white/black");
  });
});

describe("short forms that hands write for several colours", () => {
  it.each([
    ["B", ["BK", "BU", "BN"]],
    ["bl", ["BK", "BU"]],
    ["gr", ["GN", "GY"]],
  ])("%s is asked back, never guessed", (typed, meant) => {
    expect(parseInsulation(typed)).toBeNull();
    expect(parseInsulation(`WH/${typed}`)).toBeNull();
    expect(couldBe(typed)).toEqual(meant);
  });

  it("no short form that is read is among them", () => {
    for (const typed of ["blk", "blu", "brn", "grn", "gry", "bk", "r", "y", "w"]) {
      expect(parseInsulation(typed)).not.toBeNull();
      expect(couldBe(typed)).toEqual([]);
    }
  });
});
