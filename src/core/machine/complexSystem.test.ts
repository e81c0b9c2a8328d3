import fc from "fast-check";
import { Matrix, solve } from "ml-matrix";
import { describe, expect, it } from "vitest";
import { ComplexSystem } from "./complexSystem";

describe("a complex linear system", () => {
  it("agrees with an LU of the real block form", () => {
    const number = fc.double({ min: -10, max: 10, noNaN: true });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }).chain((n) =>
          fc.record({
            n: fc.constant(n),
            a: fc.array(number, { minLength: 2 * n * n, maxLength: 2 * n * n }),
            b: fc.array(number, { minLength: 2 * n, maxLength: 2 * n }),
          }),
        ),
        ({ n, a, b }) => {
          const system = new ComplexSystem(n);
          const block = Matrix.zeros(2 * n, 2 * n);
          const right = Matrix.zeros(2 * n, 1);
          for (let i = 0; i < n; i++) {
            for (let j = 0; j < n; j++) {
              // A heavy diagonal keeps the random matrix far from singular.
              const re = (a[2 * (i * n + j)] ?? 0) + (i === j ? 50 : 0);
              const im = a[2 * (i * n + j) + 1] ?? 0;
              system.add(i, j, re, im);
              block.set(i, j, re);
              block.set(i + n, j + n, re);
              block.set(i, j + n, -im);
              block.set(i + n, j, im);
            }
            system.addRight(i, { re: b[2 * i] ?? 0, im: b[2 * i + 1] ?? 0 });
            right.set(i, 0, b[2 * i] ?? 0);
            right.set(i + n, 0, b[2 * i + 1] ?? 0);
          }
          const known = solve(block, right);
          const x = system.solve()?.[0];
          expect(x).toHaveLength(n);
          x?.forEach((value, i) => {
            expect(value.re).toBeCloseTo(known.get(i, 0), 9);
            expect(value.im).toBeCloseTo(known.get(i + n, 0), 9);
          });
        },
      ),
      { numRuns: 60 },
    );
  });

  it("says of a singular one that it is, and needs rows exchanged where the first pivot is nothing", () => {
    const singular = new ComplexSystem(2);
    for (const [i, j] of [
      [0, 0],
      [0, 1],
      [1, 0],
      [1, 1],
    ] as const)
      singular.add(i, j, 1);
    expect(singular.solve()).toBeNull();
    const turned = new ComplexSystem(2);
    turned.add(0, 1, 0, 2);
    turned.add(1, 0, 4);
    turned.addRight(0, { re: 2, im: 0 });
    turned.addRight(1, { re: 0, im: 4 });
    expect(turned.solve()).toEqual([
      [
        { re: 0, im: 1 },
        { re: 0, im: -1 },
      ],
    ]);
  });
});
