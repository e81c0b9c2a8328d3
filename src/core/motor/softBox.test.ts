import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { boxPenaltyNats, boxSlope, softBox } from "./softBox";

const BOX = softBox(1.1, 3, 0.05, 0.2);

describe("a prior that is flat between usual limits", () => {
  it.each([1.1, 1.5, 2.2, 3])("costs nothing at a ratio of %d, inside", (ratio) => {
    expect(boxPenaltyNats(BOX, Math.log(ratio))).toBeCloseTo(0, 12);
  });

  it("costs half a nat one shoulder outside, on either side", () => {
    expect(boxPenaltyNats(BOX, Math.log(1.1) - 0.05)).toBeCloseTo(0.5, 9);
    expect(boxPenaltyNats(BOX, Math.log(3) + 0.2)).toBeCloseTo(0.5, 9);
  });

  it("never makes anything impossible: past the shoulder the cost grows slowly", () => {
    const foot = Math.log(3) + 0.2 * Math.sqrt(2 * BOX.floorNats);
    expect(boxPenaltyNats(BOX, foot)).toBeCloseTo(BOX.floorNats, 6);
    expect(boxPenaltyNats(BOX, foot + 1)).toBeCloseTo(BOX.floorNats + 2, 6);
    expect(boxPenaltyNats(BOX, Math.log(1e6))).toBeLessThan(BOX.floorNats + 30);
  });

  it("has a density that integrates to one, the floor's thin tail aside", () => {
    let mass = 0;
    const step = 1e-3;
    for (let u = -1; u < 2.5; u += step) mass += (Math.exp(-boxPenaltyNats(BOX, u)) / BOX.logWidth) * step;
    expect(mass).toBeCloseTo(1, 1);
  });

  it("has the slope of its penalty", () => {
    fc.assert(
      fc.property(fc.double({ min: -0.3, max: 2, noNaN: true }), (u) => {
        const h = 1e-6;
        const near = [u - h, u, u + h].map((v) => boxPenaltyNats(BOX, v));
        const feet = Math.sqrt(2 * BOX.floorNats);
        const edges = [BOX.logLow, BOX.logHigh, BOX.logLow - 0.05 * feet, BOX.logHigh + 0.2 * feet];
        if (edges.some((edge) => Math.abs(u - edge) < 2 * h)) return;
        expect(boxSlope(BOX, u).slope).toBeCloseTo(((near[2] ?? 0) - (near[0] ?? 0)) / (2 * h), 3);
      }),
    );
  });
});
