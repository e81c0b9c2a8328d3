import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { gaussian, seededRandom } from "../bench/random";
import { abs, add, type Complex, scale } from "../machine/complex";
import { moving } from "./moving";

const LEAST = 0.05;

/** Mean and variance of the logarithm, by drawing. */
function drawn(still: Complex, offs: readonly Complex[], count = 20_000) {
  const random = seededRandom(3);
  const logs = Array.from({ length: count }, () =>
    Math.log(abs(add(still, ...offs.map((off) => scale(off, gaussian(random))))) + LEAST),
  );
  const mean = logs.reduce((sum, log) => sum + log, 0) / count;
  return { mean, variance: logs.reduce((sum, log) => sum + (log - mean) ** 2, 0) / count };
}

describe("an amplitude that what is open moves", () => {
  it("where it moves along itself, has its slope and nothing beside", () => {
    const { log, slopes, variance } = moving({ re: 3, im: 4 }, [{ re: 0.06, im: 0.08 }], LEAST);
    expect(log).toBeCloseTo(Math.log(5 + LEAST));
    expect(slopes[0]).toBeCloseTo(0.1 / 5.05, 3);
    expect(variance).toBeCloseTo(0);
  });

  it("where it is the difference of two large currents, is as great as they leave it, and wide", () => {
    const { log, slopes, variance } = moving({ re: 0.3, im: 0 }, [{ re: 0.1, im: 1.2 }], LEAST);
    expect(Math.exp(log)).toBeGreaterThan(1.2);
    expect(variance).toBeGreaterThan(0.3);
    expect(Math.abs(slopes[0] ?? 1)).toBeLessThan(0.05);
  });

  it("is about where draws of what is open put it", () => {
    const part = fc.record({
      re: fc.double({ min: -0.6, max: 0.6, noNaN: true }),
      im: fc.double({ min: -0.6, max: 0.6, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.double({ min: 0.4, max: 3, noNaN: true }),
        fc.array(part, { minLength: 1, maxLength: 4 }),
        (length, offs) => {
          const { log, slopes, variance } = moving({ re: length, im: 0 }, offs, LEAST);
          const { mean, variance: width } = drawn({ re: length, im: 0 }, offs, 4000);
          const all = variance + slopes.reduce((sum, slope) => sum + slope ** 2, 0);
          expect(Math.abs(log - mean)).toBeLessThan(0.2 + 1.2 * Math.sqrt(width));
          // Neither sure of what draws leave open, nor lost where they agree.
          expect(Math.sqrt(all)).toBeGreaterThan(0.4 * Math.sqrt(width) - 0.02);
          expect(Math.sqrt(all)).toBeLessThan(3 * Math.sqrt(width) + 0.05);
        },
      ),
      { numRuns: 60 },
    );
  });
});
