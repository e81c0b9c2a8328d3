import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { EdgeFit, type EdgePaths, STRIDE, type TreeReading } from "./treeEdges";

const NO_LIMIT = Number.POSITIVE_INFINITY;

/** A row of so many edges with a lead at each vertex. */
function row(edges: number): EdgePaths {
  const vertexOf = new Int8Array(STRIDE).fill(-1);
  const path = new Int32Array(STRIDE * STRIDE);
  for (let v = 0; v <= edges; v++) {
    vertexOf[v] = v;
    for (let w = 0; w <= edges; w++) {
      const [from, to] = [Math.min(v, w), Math.max(v, w)];
      let mask = 0;
      for (let e = from; e < to; e++) mask |= 1 << e;
      path[v * STRIDE + w] = mask;
    }
  }
  return { edges, vertexOf, path };
}

function sum(list: readonly number[], from: number, to: number): number {
  return list.slice(from, to).reduce((all, ohms) => all + ohms, 0);
}

/** Half the weighted squares of edge lengths. */
function costOf(lengths: readonly number[], rows: readonly TreeReading[]): number {
  return rows.reduce(
    (cost, { a, b, ohms, weight }) =>
      cost + 0.5 * weight * (sum(lengths, Math.min(a, b), Math.max(a, b)) - ohms) ** 2,
    0,
  );
}

/** The least cost without negative lengths, by going down one length after the other until nothing moves. */
function leastCost(edges: number, rows: readonly TreeReading[]): number {
  const lengths = Array<number>(edges).fill(1);
  for (let round = 0; round < 4000; round++) {
    for (let e = 0; e < edges; e++) {
      let pull = 0;
      let weights = 0;
      for (const { a, b, ohms, weight } of rows) {
        const [from, to] = [Math.min(a, b), Math.max(a, b)];
        if (e < from || e >= to) continue;
        pull += weight * (ohms - sum(lengths, from, to) + (lengths[e] ?? 0));
        weights += weight;
      }
      if (weights > 0) lengths[e] = Math.max(0, pull / weights);
    }
  }
  return costOf(lengths, rows);
}

const pairs = (leads: number) =>
  Array.from({ length: leads }, (_, a) => a).flatMap((a) =>
    Array.from({ length: leads - a - 1 }, (_, k): [number, number] => [a, a + k + 1]),
  );

const lengths = fc.array(fc.double({ min: 0.5, max: 40, noNaN: true }), { minLength: 1, maxLength: 5 });

describe("the edges of a tree, fitted to readings", () => {
  it("are the lengths that the readings were made of", () => {
    fc.assert(
      fc.property(lengths, (truth) => {
        const fit = new EdgeFit();
        const rows = pairs(truth.length + 1).map(([a, b]) => ({ a, b, ohms: sum(truth, a, b), weight: 25 }));
        expect(fit.nats(row(truth.length), rows, NO_LIMIT)).toBeLessThan(0.1);
        truth.forEach((ohms, e) => {
          expect(fit.ohms[e]).toBeCloseTo(ohms, 2);
        });
        expect(fit.vanishes(0.01)).toBe(false);
      }),
    );
  });

  it("cost no more than the best that going down length by length finds, where readings err", () => {
    fc.assert(
      fc.property(
        lengths.filter((list) => list.length > 1 && list.length < 5),
        fc.array(fc.double({ min: -0.6, max: 0.6, noNaN: true }), { minLength: 10, maxLength: 10 }),
        (truth, errors) => {
          const rows = pairs(truth.length + 1).map(([a, b], i) => ({
            a,
            b,
            ohms: sum(truth, a, b) + (errors[i] ?? 0),
            weight: 4,
          }));
          const cost = new EdgeFit().nats(row(truth.length), rows, NO_LIMIT);
          expect(cost).toBeLessThanOrEqual(leastCost(truth.length, rows) + 0.02);
        },
      ),
      { numRuns: 60 },
    );
  });

  it("are never under zero: leads in the wrong order pay for it", () => {
    // The middle lead was read beyond the far one.
    const rows = [
      { a: 0, b: 1, ohms: 9, weight: 100 },
      { a: 0, b: 2, ohms: 5, weight: 100 },
      { a: 1, b: 2, ohms: 4, weight: 100 },
    ];
    const fit = new EdgeFit();
    expect(fit.nats(row(2), rows, NO_LIMIT)).toBeGreaterThan(500);
    expect([...fit.ohms.slice(0, 2)].every((ohms) => ohms >= 0)).toBe(true);
  });

  it("are not worked out where they are sure to cost more than the limit", () => {
    const rows = [
      { a: 0, b: 1, ohms: 20, weight: 100 },
      { a: 0, b: 2, ohms: 5, weight: 100 },
      { a: 1, b: 2, ohms: 4, weight: 100 },
    ];
    expect(new EdgeFit().nats(row(2), rows, 10)).toBe(Number.POSITIVE_INFINITY);
  });

  it("vanish where readings say that a winding is none, and stand where none has been through it", () => {
    const fit = new EdgeFit();
    const doubled = [
      { a: 0, b: 1, ohms: 12, weight: 400 },
      { a: 0, b: 2, ohms: 12, weight: 400 },
      { a: 1, b: 2, ohms: 0, weight: 400 },
    ];
    fit.nats(row(2), doubled, NO_LIMIT);
    expect(fit.vanishes(0.1)).toBe(true);
    fit.nats(row(2), [{ a: 0, b: 2, ohms: 12, weight: 400 }], NO_LIMIT);
    expect(fit.vanishes(0.1)).toBe(false);
  });
});
