import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { JointWeights } from "./jointWeights";

const CLASSES = 4;
const BINS = 5;
const tables = fc.array(fc.array(fc.nat({ max: 1000 }), { minLength: BINS, maxLength: BINS }), {
  minLength: CLASSES,
  maxLength: CLASSES,
});

/** Σ p(c, b) ln(p(c, b) / p(c) p(b)) of a table scaled to one, term by term. */
function directly(table: readonly (readonly number[])[]): number {
  const total = table.flat().reduce((sum, w) => sum + w, 0);
  const row = table.map((weights) => weights.reduce((sum, w) => sum + w, 0) / total);
  const column = Array.from(
    { length: BINS },
    (_, b) => table.reduce((sum, w) => sum + (w[b] ?? 0), 0) / total,
  );
  return table.reduce(
    (sum, weights, c) =>
      sum +
      weights.reduce((inner, w, b) => {
        const p = w / total;
        return p > 0 ? inner + p * Math.log(p / ((row[c] ?? 0) * (column[b] ?? 0))) : inner;
      }, 0),
    0,
  );
}

function filled(joint: JointWeights, table: readonly (readonly number[])[]): JointWeights {
  joint.clear();
  const total = table.flat().reduce((sum, w) => sum + w, 0);
  // Labels and bins may be any whole numbers, and a class's reading is shared out over its bins.
  table.forEach((weights, c) => {
    const weight = weights.reduce((sum, w) => sum + w, 0);
    if (weight === 0) return;
    joint.add(
      7 * c + 3,
      { bins: weights.map((_, b) => 1000 - 31 * b), shares: weights.map((w) => w / weight) },
      weight / total,
    );
  });
  return joint;
}

describe("what a reading tells of the answer", () => {
  it("is the mutual information of the two, as the sum over the table gives it", () => {
    const joint = new JointWeights();
    fc.assert(
      fc.property(tables, (table) => {
        fc.pre(table.flat().some((w) => w > 0.01));
        expect(filled(joint, table).mutualInformation()).toBeCloseTo(directly(table), 9);
      }),
    );
  });

  it("is nothing where every answer expects the same, and all of it where no two share a reading", () => {
    const joint = new JointWeights();
    for (const label of [0, 1, 2]) joint.add(label, { bins: [4, 5], shares: [0.5, 0.5] }, 1 / 3);
    expect(joint.mutualInformation()).toBeCloseTo(0, 12);
    joint.clear();
    for (const label of [0, 1, 2]) joint.add(label, { bins: [label], shares: [1] }, 1 / 3);
    expect(joint.mutualInformation()).toBeCloseTo(Math.log(3), 12);
  });

  it("does not hang on the order in which answers come, nor on a bin that comes twice", () => {
    const [one, other] = [new JointWeights(), new JointWeights()];
    one.add(1, { bins: [2, 3], shares: [0.6, 0.4] }, 0.7);
    one.add(2, { bins: [3], shares: [1] }, 0.3);
    other.add(2, { bins: [3, 3], shares: [0.25, 0.75] }, 0.3);
    other.add(1, { bins: [3, 2], shares: [0.4, 0.6] }, 0.7);
    expect(other.mutualInformation()).toBeCloseTo(one.mutualInformation(), 12);
  });

  it("keeps count over thousands of answers, where its table has to grow", () => {
    const joint = new JointWeights();
    const many = 900;
    for (let label = 0; label < many; label++)
      joint.add(label, { bins: [label, label + 1], shares: [0.5, 0.5] }, 1 / many);
    // Each reading but the outermost leaves two answers, alike.
    expect(joint.mutualInformation()).toBeCloseTo(Math.log(many) - Math.log(2), 2);
  });
});
