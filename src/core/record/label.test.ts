import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { LABEL_MM, type LabelContent, layoutLabel, stripWords } from "./label";

const content = (rows: number, text = "speed 2"): LabelContent => ({
  unit: "Harbour office fan coil",
  date: "2026-02-17",
  who: "Maren Osk",
  supply: "Motor for 208–230 V",
  assumed: "",
  proved: "",
  address: "",
  capacitor: "capacitor 7.5 µF / 440 V",
  rows: Array.from({ length: rows }, (_, i) => ({ wire: `W${i}`, role: text, to: "capped on its own" })),
});

/** Letters of running text come to half the size of the type on average; a line may not run off the paper. */
const LETTER = 0.5;

describe("the strip for the shell", () => {
  it.each([
    ["Motor joined for 115 V", "WIRED 115 V"],
    ["Motor for 208–230 V", "WIRED 208–230 V"],
    ["Motor set for 230 V", "WIRED 230 V"],
    ["PLANNED – NOT PROVED · Motor joined for 115 V", null],
    ["LANDED – NOT PROVED · Motor joined for 115 V", null],
    ["DO NOT RUN", null],
    ["Setting not looked at", null],
    ["NOT LANDED: the check stops this plan", null],
  ])("of “%s” says %s", (supply, words) => {
    expect(stripWords({ supply })).toBe(words);
  });
});

describe("the label", () => {
  it("has a line for every wire, up to the fourteen a motor and a jumper can bring", () => {
    for (let rows = 0; rows <= 14; rows++) {
      const texts = layoutLabel(content(rows)).texts.map((t) => t.text);
      for (let i = 0; i < rows; i++) expect(texts).toContain(`W${i}`);
    }
  });

  it("keeps all type on the paper and readable, whatever was typed", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 14 }), fc.string({ maxLength: 80 }), (rows, text) => {
        for (const line of layoutLabel({ ...content(rows, text), unit: text, who: text }).texts) {
          expect(line.y).toBeLessThan(LABEL_MM.height - 1);
          expect(line.sizeMm).toBeGreaterThan(1.7);
          expect(line.x + line.text.length * line.sizeMm * LETTER).toBeLessThan(LABEL_MM.width);
        }
      }),
    );
  });

  it("never sets two lines of one column on top of each other", () => {
    for (const rows of [3, 7, 8, 13]) {
      const wires = layoutLabel(content(rows)).texts.filter((t) => /^W\d/.test(t.text));
      for (const a of wires) {
        for (const b of wires) {
          if (a !== b && a.x === b.x) expect(Math.abs(a.y - b.y)).toBeGreaterThan(a.sizeMm);
        }
      }
    }
  });
});
