import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Plate } from "./plate";
import { plateDoubts } from "./plateDoubts";

const HP = 745.7;
const at = (...volts: number[]): Plate["volts"] => volts.map((v) => ({ low: v, high: v }));
const codes = (plate: Plate) => plateDoubts(plate).map(({ code, path }) => `${code} ${path.join(".")}`);

describe("amps that do not go with the power", () => {
  it("115 A at a sixth of a horse cannot be: somebody typed the volts", () => {
    const plate: Plate = { powerWatts: [HP / 6], volts: at(115), fullLoadAmps: [115] };
    expect(codes(plate)).toEqual(["cannot-be amps"]);
    expect(plateDoubts(plate)[0]?.says).toContain("115 A do not go with");
  });

  it.each([
    ["a small shaded-pole fan, mostly heat", { powerWatts: [9], volts: at(115), fullLoadAmps: [0.6] }],
    ["a condenser fan", { powerWatts: [HP / 4], volts: at(208, 230), fullLoadAmps: [1.8] }],
    [
      "three-phase",
      { powerWatts: [5 * HP], volts: at(230, 460), fullLoadAmps: [13.2, 6.6], phase: 3 as const },
    ],
    ["no phase said, and three fit", { powerWatts: [2 * HP], volts: at(460), fullLoadAmps: [3.1] }],
  ])("%s is no doubt", (_, plate) => {
    expect(plateDoubts(plate)).toEqual([]);
  });

  it("too few amps for the power cannot be either: no motor gives more than it takes", () => {
    expect(codes({ powerWatts: [HP], volts: at(230), fullLoadAmps: [1], phase: 1 })).toEqual([
      "cannot-be amps",
    ]);
  });

  it("without volts it is said only where no mains would do", () => {
    expect(codes({ powerWatts: [HP / 6], fullLoadAmps: [115] })).toEqual(["cannot-be amps"]);
    expect(codes({ powerWatts: [HP], fullLoadAmps: [12] })).toEqual([]);
  });

  it("nothing is said of what is not there", () => {
    expect(codes({ fullLoadAmps: [3.2], volts: at(230) })).toEqual([]);
    expect(codes({ powerWatts: [HP] })).toEqual([]);
    expect(codes({})).toEqual([]);
  });

  it("no motor between poor and perfect is doubted, at any volts", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 160, max: 3000, noNaN: true }),
        fc.constantFrom(115, 208, 230, 400, 460),
        fc.double({ min: 1.05, max: 4, noNaN: true }),
        (watts, volts, apparent) => {
          const amps = (watts * apparent) / volts;
          expect(
            plateDoubts({ powerWatts: [watts], volts: at(volts), fullLoadAmps: [amps], phase: 1 }),
          ).toEqual([]);
        },
      ),
    );
  });
});

describe("speeds that no loaded motor has", () => {
  it.each([
    [1075, "usual for six poles", []],
    [1725, "usual for four", []],
    [1800, "the field's own", ["odd speed"]],
    [5200, "faster than any field", ["odd speed"]],
  ] as const)("%i rpm at 60 Hz: %s", (rpm, _, says) => {
    expect(codes({ rpm, hertz: [60] })).toEqual(says);
  });

  it("1425 rpm is usual at 50 Hz, and on 400 V without hertz", () => {
    expect(codes({ rpm: 1425, hertz: [50] })).toEqual([]);
    expect(codes({ rpm: 1425, volts: at(400) })).toEqual([]);
  });

  it("where the plate says its poles, the speed is its own affair", () => {
    expect(codes({ rpm: 1800, hertz: [60], poles: 4 })).toEqual([]);
  });
});
