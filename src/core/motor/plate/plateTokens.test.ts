import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { plainPlate, plateTokens } from "./plateTokens";

const says = (line: string) =>
  plateTokens(plainPlate(line)).map((token) => (token.kind === "label" ? token.says : token.text.trim()));

describe("a plate's words and figures, parted", () => {
  it.each([
    ["825RPM", ["825", "rpm"]],
    ["FLA5.8", ["amps", "5.8"]],
    ["PH: 1", ["phase", "1"]],
    ["3~ 400 V", ["3", "phase", "400", "volts"]],
    ["1390 min-1", ["1390", "rpm"]],
    ["1390/min", ["1390", "rpm"]],
    ["H.P. .25", ["hp", ".25"]],
    ["0,28A", ["0,28", "amps"]],
    ["1 1/2 HP", ["1-1/2", "hp"]],
    ["115 / 230 VAC", ["115 / 230", "volts"]],
    ["60C/S", ["60", "hertz"]],
    ["60HZ,1PH", ["60", "hertz", ",", "1", "phase"]],
    ["LOCKED ROTOR AMPS 22", ["lockedAmps", "22"]],
    ["FULL-LOAD CURRENT 4.4", ["amps", "4.4"]],
    ["SERVICE FACTOR AMPS 5.1", ["serviceAmps", "5.1"]],
    ["35+5 MFD", ["35+5", "microfarads"]],
    ["µF 4", ["microfarads", "4"]],
  ])("%s", (line, tokens) => {
    expect(says(line)).toEqual(tokens);
  });

  it("a model's letters and figures are one word and announce nothing", () => {
    const tokens = plateTokens("LH-48-6 VD-Q14 IP44");
    expect(tokens.every(({ kind }) => kind === "other")).toBe(true);
  });

  it("a unit written onto its figure is glued to it, and one with a colon looks ahead", () => {
    expect(plateTokens("825RPM")[1]).toMatchObject({ glued: true, colon: false });
    expect(plateTokens("825 RPM")[1]).toMatchObject({ glued: false, colon: false });
    expect(plateTokens("RPM: 825")[0]).toMatchObject({ glued: false, colon: true });
  });

  it("loses nothing: every letter and figure of any line stands in a token, in its place", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (line) => {
        const tokens = plateTokens(line);
        const kept = new Set<number>();
        for (const { from, to, text } of tokens) {
          expect(line.slice(from, to)).toBe(text);
          for (let i = from; i < to; i++) kept.add(i);
        }
        for (let i = 0; i < line.length; i++)
          if (/[A-Za-z0-9]/.test(line[i] ?? "")) expect(kept.has(i)).toBe(true);
      }),
    );
  });
});
