import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { formatOhms, parseOhms } from "./ohms";

const ohmsOf = (text: string) => {
  const parsed = parseOhms(text);
  return parsed.ok && "ohms" in parsed.shown ? parsed.shown.ohms : undefined;
};

describe("reading a value as a hand types it", () => {
  it.each([
    ["12.4", 12.4],
    ["4.70", 4.7],
    ["12,4", 12.4],
    [".6", 0.6],
    ["0", 0],
    ["1.2k", 1200],
    ["850 kΩ", 850_000],
    ["1.5M", 1.5e6],
    ["470m", 0.47],
    ["33 ohms", 33],
    [" 7 Ω ", 7],
  ])("takes %s", (text, ohms) => {
    expect(ohmsOf(text)).toBeCloseTo(ohms, 9);
  });

  it.each(["OL", "ol", "0L", "O.L", "open", "∞"])("takes %s for over range", (text) => {
    const parsed = parseOhms(text);
    expect(parsed.ok && "open" in parsed.shown).toBe(true);
  });

  it("keeps the digits as typed", () => {
    const parsed = parseOhms(" 4.70 ");
    expect(parsed.ok && parsed.typed).toBe("4.70");
  });

  it.each([
    ["", "empty"],
    ["-3", "negative-ohms"],
    ["12.4.1", "not-ohms"],
    ["blue", "not-ohms"],
    ["1e400", "not-ohms"],
    ["99999M", "ohms-too-high"],
  ])("refuses “%s” as %s", (text, code) => {
    const parsed = parseOhms(text);
    expect(parsed.ok).toBe(false);
    expect(!parsed.ok && parsed.faults[0]?.code).toBe(code);
  });
});

describe("printing ohms", () => {
  it.each([
    [12.44, "12.4 Ω"],
    [0.6, "0.6 Ω"],
    [123.44, "123.4 Ω"],
    [1234, "1.23 kΩ"],
    [850_000, "850 kΩ"],
    [Number.POSITIVE_INFINITY, "OL"],
  ])("prints %d as %s", (ohms, text) => {
    expect(formatOhms(ohms)).toBe(text);
  });

  it("prints what it can read back, to the digits it shows", () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5e6, noNaN: true }), (ohms) => {
        const back = ohmsOf(formatOhms(ohms));
        expect(back).toBeDefined();
        expect(Math.abs((back ?? 0) - ohms)).toBeLessThanOrEqual(Math.max(0.0501, ohms * 0.005));
      }),
    );
  });
});
