import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cableOhmsEachWay } from "./cable";
import { parseCable } from "./cableEntry";

describe("a cable as a hand types it", () => {
  it("takes a gauge with feet, and one way of 200 ft of 12 AWG is 0.318 Ω", () => {
    const parsed = parseCable("12 AWG", "200");
    expect(parsed).toEqual({ ok: true, run: { gauge: 12, lengthFeet: 200 } });
    if (parsed.ok) expect(cableOhmsEachWay(parsed.run)).toBeCloseTo(0.3176, 6);
  });

  it("takes mm² with metres, and one way of 60 m of 2.5 mm² is 0.414 Ω", () => {
    const parsed = parseCable("2,5 mm2", "60");
    expect(parsed).toEqual({ ok: true, run: { areaMm2: 2.5, lengthMetres: 60 } });
    if (parsed.ok) expect(cableOhmsEachWay(parsed.run)).toBeCloseTo(0.41376, 6);
  });

  it.each([
    ["#14", "30 m", { gauge: 14, lengthFeet: 30 / 0.3048 }],
    ["4 mm²", "100 ft", { areaMm2: 4, lengthMetres: 30.48 }],
  ])("%s and %s: units may be mixed", (size, length, run) => {
    const parsed = parseCable(size, length);
    expect(parsed.ok).toBe(true);
    if (parsed.ok)
      for (const [key, value] of Object.entries(run))
        expect(Object.entries(parsed.run).find(([k]) => k === key)?.[1]).toBeCloseTo(value, 9);
  });

  it.each([
    ["13 AWG", "200", "size"],
    ["thick", "200", "size"],
    ["0 mm2", "200", "size"],
    ["12", "long", "length"],
    ["12", "-5 ft", "length"],
    ["12", "90000 m", "length"],
  ])("%s by %s is refused, and the fault names the %s", (size, length, path) => {
    const parsed = parseCable(size, length);
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.faults[0]?.path).toEqual([path]);
  });

  it("says the same ohms for the same length in feet and in metres", () => {
    fc.assert(
      fc.property(fc.constantFrom("14", "10", "4"), fc.integer({ min: 1, max: 5000 }), (size, feet) => {
        const [inFeet, inMetres] = [parseCable(size, `${feet} ft`), parseCable(size, `${feet * 0.3048} m`)];
        if (!inFeet.ok || !inMetres.ok) throw new Error("both are lengths");
        expect(cableOhmsEachWay(inMetres.run)).toBeCloseTo(cableOhmsEachWay(inFeet.run), 9);
      }),
    );
  });
});
