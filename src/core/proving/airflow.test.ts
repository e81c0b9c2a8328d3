import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cubicFeetAMinute, cubicMetresAnHour, densityRatio, electricWatts, speedsByRise } from "./airflow";

describe("air by heat and rise", () => {
  it("ten kilowatts warm 900 cfm by 35 °F", () => {
    expect(cubicFeetAMinute(10_000, 35)).toBeCloseTo(903, 0);
    expect(
      electricWatts([
        { volts: 236, amps: 20.5 },
        { volts: 236, amps: 20.1 },
      ]),
    ).toBeCloseTo(9582, 0);
  });

  it("feet and metres say the same within what their constants are rounded to", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 500, max: 40_000, noNaN: true }),
        fc.double({ min: 5, max: 90, noNaN: true }),
        (watts, riseF) => {
          const feet = cubicFeetAMinute(watts, riseF);
          const metres = cubicMetresAnHour(watts, (riseF * 5) / 9);
          expect((feet * 1.699) / metres).toBeGreaterThan(0.98);
          expect((feet * 1.699) / metres).toBeLessThan(1.02);
        },
      ),
    );
  });

  it("thin air takes more of it: 5 000 ft is about five sixths", () => {
    expect(densityRatio(1524)).toBeCloseTo(0.835, 2);
    expect(densityRatio(0, 21)).toBe(1);
    expect(cubicFeetAMinute(10_000, 35, densityRatio(1524))).toBeGreaterThan(cubicFeetAMinute(10_000, 35));
  });

  it("the speed whose rise comes nearest the middle of the plate, of those whose amps pass", () => {
    const now = { rpm: 1075, riseF: 72, amps: 3.1 };
    const choices = [
      { speed: 1, rpm: 1075, amps: 3.1 },
      { speed: 2, rpm: 950, amps: 2.6 },
      { speed: 3, rpm: 1250, amps: 4.6 },
    ];
    // ΔT₂ = ΔT₁·n₁/n₂: 72, 81.5 and 61.9 °F.
    const best = speedsByRise(now, choices, { lowF: 40, highF: 70 }, 5);
    expect(best[0]).toMatchObject({ speed: 3, passes: true });
    expect(best[0]?.riseF).toBeCloseTo(61.9, 1);
    const passing = speedsByRise(now, choices, { lowF: 40, highF: 70 }, 4);
    expect(passing[0]?.speed).toBe(1);
    expect(passing.at(-1)).toMatchObject({ speed: 3, passes: false });
  });
});
