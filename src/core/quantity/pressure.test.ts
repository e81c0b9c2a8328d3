import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { formatPressure, parsePressure, parsePressureSwitch } from "./pressure";

describe("a gauge as a hand types it", () => {
  it.each([
    ["42", 289.6],
    ["42 psi", 289.6],
    ["2,9 bar", 290],
    ["290 kPa", 290],
    ["40lbs", 275.8],
  ])("%s is %d kPa", (text, kilopascals) => {
    const read = parsePressure(text, "psi");
    expect(read.ok && Math.abs(read.kilopascals - kilopascals) < 0.1).toBe(true);
  });

  it.each(["", "much", "-4", "40 m", "9000 bar"])("“%s” is refused in words", (text) => {
    const read = parsePressure(text, "psi");
    expect(read.ok ? "" : read.faults[0]?.says).toMatch(/pressure|pump/);
  });

  it("never throws, and what it says back is read the same", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        parsePressure(text, "bar");
        parsePressureSwitch(text);
      }),
    );
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 900 }), (kilopascals) => {
        const read = parsePressure(formatPressure(kilopascals).split(" (")[0] ?? "", "bar");
        expect(read.ok && Math.abs(read.kilopascals - kilopascals)).toBeLessThan(3.5);
      }),
    );
  });
});

describe("where a pressure switch is set", () => {
  it.each([
    ["40/60", 275.8, 413.7],
    ["40-60 psi", 275.8, 413.7],
    ["30 50", 206.8, 344.7],
    ["2 to 3,5 bar", 200, 350],
    ["40 psi (2.8 bar) – 60 psi (4.1 bar)", 275.8, 413.7],
  ])("%s", (text, low, high) => {
    const read = parsePressureSwitch(text);
    if (!read.ok) throw new Error(read.faults[0]?.says);
    expect(read.cutInKilopascals).toBeCloseTo(low, 0);
    expect(read.cutOutKilopascals).toBeCloseTo(high, 0);
  });

  it.each(["40", "60/40", "40/50/60", "0/40", "on/off"])("“%s” is refused in words", (text) => {
    expect(parsePressureSwitch(text).ok).toBe(false);
  });
});
