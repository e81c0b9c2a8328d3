import { describe, expect, it } from "vitest";
import { probedAbout } from "./probedAbout";

const job = (more: Partial<Parameters<typeof probedAbout>[0]>) => ({
  plates: { old: {}, new: {} },
  about: {},
  leads: Array.from({ length: 6 }),
  ...more,
});

describe("what the plate says reaches the probe by itself", () => {
  it("capacitor, speeds, phase and volts of the new plate, or of the old where there is no other", () => {
    const plate = { volts: "115", phase: "1", speeds: "4", runCapacitor: "7.5/370" };
    for (const plates of [
      { old: plate, new: {} },
      { old: {}, new: plate },
    ])
      expect(probedAbout(job({ plates })).about).toEqual({
        phase: 1,
        speeds: 4,
        capacitor: "run",
        volts: 115,
      });
  });

  it("two voltages are told where leads set them, not where a dial may", () => {
    const plates = { old: {}, new: { volts: "115/230" } };
    expect(probedAbout(job({ plates })).about).toEqual({ dualVoltage: true });
    expect(probedAbout(job({ plates, leads: Array.from({ length: 4 }) })).about).toEqual({});
  });

  it("an electronic replacement says nothing of the old windings", () => {
    const plates = { old: { speeds: "3" }, new: { kind: "retrofit", speeds: "5" } };
    expect(probedAbout(job({ plates })).about).toEqual({ speeds: 3 });
  });

  it("a person's word comes first, and a clash is said", () => {
    const plates = { old: {}, new: { speeds: "4", phase: "1" } };
    const { about, clashes } = probedAbout(job({ plates, about: { speeds: 3, phase: 1 } }));
    expect(about.speeds).toBe(3);
    expect(clashes).toEqual(["speeds"]);
  });
});
