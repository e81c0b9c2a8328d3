import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { settingFor } from "./settingFor";

const DUAL = [
  { low: 115, high: 115 },
  { low: 230, high: 230 },
];
const THREE = [
  { low: 208, high: 230 },
  { low: 460, high: 460 },
];

describe("the voltage setting by plate and meter", () => {
  it("is low on 120 V, high on 240 V, and near the edge on 208 V", () => {
    expect(settingFor(DUAL, 120)).toMatchObject({ weight: "good", setting: "low" });
    expect(settingFor(DUAL, 240)).toMatchObject({ weight: "good", setting: "high" });
    expect(settingFor(DUAL, 208)).toMatchObject({ weight: "again", setting: "high" });
    expect(settingFor(THREE, 208)).toMatchObject({ weight: "good", setting: "low" });
    expect(settingFor(THREE, 480)).toMatchObject({ weight: "good", setting: "high" });
  });

  it("is none where the supply lies outside of the plate's ten per cent", () => {
    expect(settingFor(DUAL, 277)).toMatchObject({ weight: "stop", setting: null });
    expect(settingFor([{ low: 115, high: 115 }], 230)).toMatchObject({ weight: "stop", setting: null });
  });

  it("has nothing to set on a motor of one voltage", () => {
    expect(settingFor([{ low: 208, high: 230 }], 236)).toMatchObject({ weight: "good", setting: "only" });
  });

  it("never sets a motor for volts more than ten per cent away, and a stop is a stop", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(DUAL, THREE, [
          { low: 230, high: 230 },
          { low: 400, high: 400 },
        ]),
        fc.double({ min: 20, max: 700, noNaN: true }),
        (plate, supply) => {
          const fits = plate.map(({ low, high }) => supply >= 0.9 * low && supply <= 1.1 * high);
          const { setting, weight } = settingFor(plate, supply);
          if (setting === null) {
            expect(weight).toBe("stop");
            expect(fits.some(Boolean)).toBe(false);
          } else expect(fits[setting === "low" ? 0 : 1]).toBe(true);
        },
      ),
    );
  });
});
