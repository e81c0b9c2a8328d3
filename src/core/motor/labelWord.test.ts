import { describe, expect, it } from "vitest";
import { FAMILIES } from "./families";
import { labelWord, speedInFull, speedWord } from "./labelWord";

describe("a role on the label", () => {
  it("says speeds as they are said aloud, the fastest first", () => {
    expect([1, 2].map((rank) => speedWord(rank, 2))).toEqual(["HI", "LO"]);
    expect([1, 2, 3].map((rank) => speedWord(rank, 3))).toEqual(["HI", "MED", "LO"]);
    expect([1, 2, 3, 4].map((rank) => speedWord(rank, 4))).toEqual(["HI", "MED-HI", "MED", "LO"]);
    expect(speedWord(6, 7)).toBe("speed 6");
  });

  it("never says COM bare: it is the joint on a motor of one speed, the shared lead on one of several", () => {
    const words = FAMILIES.flatMap(({ variants, roleWords }) =>
      [3, 4, 5].flatMap((leads) =>
        variants(leads, {}).flatMap(({ nodes }) =>
          nodes.flatMap(({ role }) =>
            role ? [1, 3].map((speeds) => labelWord(role, speeds, roleWords(role, speeds))) : [],
          ),
        ),
      ),
    );
    expect(words.filter((word) => /^COM$/.test(word))).toEqual([]);
    expect(new Set(words.filter((word) => word.startsWith("COM")))).toEqual(
      new Set(["COM (joint)", "COM (shared lead)"]),
    );
  });

  it("names the start end by what it goes to", () => {
    expect(labelWord({ role: "start-end" }, 1, "CAP (start end), to the capacitor")).toBe("CAP (start)");
    expect(labelWord({ role: "run-end" }, 1, "LINE (run end)")).toBe("LINE");
  });

  it("puts our words in brackets behind the trade's", () => {
    expect([1, 2, 3].map((rank) => speedInFull(rank, 3))).toEqual([
      "HI (speed 1, the fastest)",
      "MED (speed 2)",
      "LO (speed 3, the slowest)",
    ]);
    expect(speedInFull(1, 7)).toBe("speed 1, the fastest");
  });
});
