import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Network } from "../motor/network";
import { judgeInsulation, megohmsAt40C } from "../ohms/insulation";
import { insulationTester } from "./insulationTester";
import { seededRandom } from "./random";

const network: Network = {
  junctions: 5,
  sections: [
    { from: 0, to: 1, ohms: 12, winding: "main" },
    { from: 1, to: 2, ohms: 20, winding: "start" },
    { from: 3, to: 4, ohms: 9, winding: "half" },
  ],
  leadAt: new Map([
    ["a", 0],
    ["b", 2],
    ["c", 3],
    ["d", 4],
  ]),
};

const megohms = (shown: { megohms: number } | { overMegohms: number }) =>
  "megohms" in shown ? shown.megohms : Number.POSITIVE_INFINITY;

describe("the simulated insulation tester", () => {
  it("reads the same through every lead of a group, and another group for itself", () => {
    const test = insulationTester(network, [{ junction: 1, megohmsAt40C: 3 }], 40, seededRandom(4));
    for (const lead of ["a", "b"]) expect(Math.abs(megohms(test(lead)) - 3)).toBeLessThan(0.5);
    expect(test("c")).toEqual({ overMegohms: 2000 });
  });

  it("halves for each 10 °C warmer, so that the reading corrected to 40 °C is the motor's own", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 200, noNaN: true }),
        fc.double({ min: 5, max: 90, noNaN: true }),
        fc.integer(),
        (true40, windingC, seed) => {
          const leaks = [{ junction: 3, megohmsAt40C: true40 }];
          const shown = insulationTester(network, leaks, windingC, seededRandom(seed))("d");
          if ("overMegohms" in shown) expect(true40 * 2 ** ((40 - windingC) / 10)).toBeGreaterThan(1500);
          else expect(Math.abs(megohmsAt40C(shown.megohms, windingC) / true40 - 1)).toBeLessThan(0.25);
        },
      ),
    );
  });

  it("puts leaks of one group side by side", () => {
    const leaks = [
      { junction: 0, megohmsAt40C: 4 },
      { junction: 2, megohmsAt40C: 4 },
    ];
    const shown = insulationTester(network, leaks, 40, seededRandom(9))("a");
    expect(Math.abs(megohms(shown) - 2)).toBeLessThan(0.3);
    expect(judgeInsulation(megohms(shown), 40).weight).toBe("again");
  });

  it("throws on a lead the motor does not have: our bug, not the user's", () => {
    expect(() => insulationTester(network, [], 40, seededRandom(1))("z")).toThrow(RangeError);
  });
});
