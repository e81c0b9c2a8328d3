import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { parseMegohms } from "./megohms";
import { parseTemperature } from "./temperature";

describe("a winding temperature as a hand types it", () => {
  it.each([
    ["25", 25],
    ["25 C", 25],
    ["77F", 25],
    ["77 °F", 25],
    ["-4 f", -20],
    ["37,5", 37.5],
  ])("%s is %d °C", (text, celsius) => {
    expect(parseTemperature(text)).toEqual({ ok: true, celsius });
  });

  it.each(["", "warm", "25 K", "2 5", "900 C", "1e2"])("“%s” is refused in words", (text) => {
    const parsed = parseTemperature(text);
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.faults[0]?.says).toMatch(/temperature/);
  });

  it("reads °F and °C alike, to a tenth", () => {
    fc.assert(
      fc.property(fc.integer({ min: -50, max: 250 }), (celsius) => {
        const fahrenheit = (celsius * 9) / 5 + 32;
        expect(parseTemperature(`${fahrenheit} F`)).toEqual({ ok: true, celsius });
      }),
    );
  });
});

describe("an insulation reading as a hand types it", () => {
  it.each([
    ["12", 12, false],
    ["0.8", 0.8, false],
    ["800 k", 0.8, false],
    ["2.2 G", 2200, false],
    ["550 MΩ", 550, false],
    [">1000", 1000, true],
    ["1000+", 1000, true],
    ["over 500 M", 500, true],
  ])("%s is %d megohms", (text, megohms, orMore) => {
    expect(parseMegohms(text)).toEqual({ ok: true, megohms, orMore });
  });

  it.each(["", "OL", "-5", "5 W", "2000 G"])("“%s” is refused in words", (text) => {
    expect(parseMegohms(text).ok).toBe(false);
  });

  it("never throws, whatever is typed", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        const parsed = parseMegohms(text);
        if (parsed.ok) expect(parsed.megohms).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});
