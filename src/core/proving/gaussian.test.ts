import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { alike, conditioned, figured } from "./gaussian";

const slope = fc.double({ min: -2, max: 2, noNaN: true });
const row = fc.record({
  off: fc.double({ min: -3, max: 3, noNaN: true }),
  slopes: fc.tuple(slope, slope),
  variance: fc.double({ min: 0.05, max: 2, noNaN: true }),
});

/** The same by summing over a grid of the two unknowns. */
function byGrid(rows: readonly { off: number; slopes: readonly number[]; variance: number }[]) {
  const step = 0.05;
  let [mass, a, b] = [0, 0, 0];
  for (let x = -7; x <= 7; x += step)
    for (let y = -7; y <= 7; y += step) {
      const log = rows.reduce(
        (sum, { off, slopes: [s = 0, t = 0], variance }) =>
          sum - (off - s * x - t * y) ** 2 / (2 * variance) - 0.5 * Math.log(2 * Math.PI * variance),
        -(x * x + y * y) / 2 - Math.log(2 * Math.PI),
      );
      const share = Math.exp(log) * step * step;
      mass += share;
      a += share * x;
      b += share * y;
    }
  return { log: Math.log(mass), mean: [a / mass, b / mass] };
}

describe("linear Gaussian conditioning", () => {
  it("agrees with summing over a grid", () => {
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 4 }), (rows) => {
        const sums = byGrid(rows);
        const { logLikelihood, mean } = conditioned(rows, 2);
        expect(logLikelihood).toBeCloseTo(sums.log, 2);
        expect(mean[0]).toBeCloseTo(sums.mean[0] ?? 0, 1);
        expect(mean[1]).toBeCloseTo(sums.mean[1] ?? 0, 1);
      }),
      { numRuns: 25 },
    );
  });

  it("a figure is never less sure after a reading than before", () => {
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 5 }), fc.tuple(slope, slope), (rows, slopes) => {
        const before = figured(conditioned([], 2), slopes).variance;
        expect(figured(conditioned(rows, 2), slopes).variance).toBeLessThanOrEqual(before + 1e-9);
      }),
    );
  });

  it("one bell curve is wholly alike itself, and less so any other", () => {
    const one = { mean: 1, variance: 0.3 };
    expect(alike(one, one)).toBeCloseTo(1, 12);
    expect(alike(one, { mean: 3, variance: 0.3 })).toBeLessThan(0.3);
  });
});
