import { describe, expect, it } from "vitest";
import {
  blower4,
  capacitorStart230,
  dualVoltage,
  fan3,
  reversible,
  shaded3,
  splitPhase,
  threePhase9Wye,
} from "../../../tests/material/motors";
import type { Plate } from "../motor/plate/plate";
import { ratingOf, turningField } from "./rating";

const HP = 745.7;
const at = (low: number, high = low) => ({ low, high });
const sourceOf = (rating: ReturnType<typeof ratingOf>) =>
  Object.fromEntries(Object.entries(rating.sources).map(([figure, source]) => [figure, source?.kind]));

describe("what makes the field turn", () => {
  it.each([
    ["a shaded pole's ring", shaded3, "ring"],
    ["a run capacitor", fan3, "run-capacitor"],
    ["a run capacitor in either winding", reversible, "run-capacitor"],
    ["a switch in a split phase", splitPhase, "shaft-switch"],
    ["a switch behind a start capacitor", capacitorStart230, "shaft-switch"],
    ["three lines", threePhase9Wye, "lines"],
  ] as const)("%s", (_, { motor }, kind) => {
    expect(turningField(motor)).toBe(kind);
  });
});

describe("the plate's figures stand, each with its source", () => {
  const plate: Plate = {
    volts: [at(208, 230)],
    hertz: [60],
    powerWatts: [HP / 4],
    rpm: 1075,
    fullLoadAmps: [1.9],
    runCapacitor: { microfarads: 5, volts: 440 },
  };

  it("as they are printed", () => {
    const rating = ratingOf(fan3.motor, plate, 230);
    expect(rating).toMatchObject({
      hertz: 60,
      poles: 6,
      rpm: 1075,
      volts: { low: 230, high: 230 },
      leastVolts: { low: 208, high: 208 },
      amps: 1.9,
      watts: HP / 4,
      runMicrofarads: 5,
      runVolts: 440,
      startMicrofarads: null,
      assumed: [],
    });
    expect(Object.values(sourceOf(rating)).every((kind) => kind === "plate")).toBe(true);
  });

  it("the supply has no say in what the plate names", () => {
    expect(ratingOf(fan3.motor, plate, 115, 50)).toEqual(ratingOf(fan3.motor, plate, 230, 60));
  });

  it("a plate of both hertz is taken for the supply's", () => {
    const both: Plate = { ...plate, hertz: [50, 60], rpm: 900 };
    expect(ratingOf(fan3.motor, both, 230, 50).hertz).toBe(50);
    expect(ratingOf(fan3.motor, both, 230, 60).hertz).toBe(60);
  });
});

describe("where the plate is silent", () => {
  it("nothing at all: every figure is taken as usual, and says so", () => {
    const rating = ratingOf(fan3.motor, {}, 230);
    expect(rating.volts).toEqual({ low: 230, high: 230 });
    expect(rating.poles).toBe(6);
    expect(rating.rpm).toBeGreaterThan(1000);
    expect(rating.rpm).toBeLessThan(1200);
    expect(rating.amps).toBeGreaterThan(0);
    expect([...rating.assumed].sort()).toEqual(
      ["full-load amps", "hertz", "poles", "power", "run capacitor", "speed", "volts"].sort(),
    );
  });

  it("amps follow from the power, and the power from the amps, by the same share", () => {
    const byPower = ratingOf(fan3.motor, { volts: [at(230)], powerWatts: [200] }, 230);
    const byAmps = ratingOf(fan3.motor, { volts: [at(230)], fullLoadAmps: [byPower.amps] }, 230);
    expect(byAmps.watts).toBeCloseTo(200, 6);
    expect(sourceOf(byPower)).toMatchObject({ "full-load amps": "assumed", power: "plate" });
    expect(sourceOf(byAmps)).toMatchObject({ "full-load amps": "plate", power: "assumed" });
  });

  it("a run capacitor grows with the power and falls with the square of the volts", () => {
    const of = (watts: number, volts: number) =>
      ratingOf(fan3.motor, { volts: [at(volts)], powerWatts: [watts] }, volts).runMicrofarads ?? 0;
    expect(of(400, 230) / of(200, 230)).toBeCloseTo(2, 6);
    expect(of(200, 115) / of(200, 230)).toBeCloseTo(4, 6);
  });

  it("a split phase asks for no capacitor of either kind", () => {
    const rating = ratingOf(splitPhase.motor, { volts: [at(115)] }, 115);
    expect([rating.runMicrofarads, rating.startMicrofarads]).toEqual([null, null]);
  });
});

describe("speeds", () => {
  it("the field's own speed is none that a loaded motor turns at: figured under it, and said", () => {
    const rating = ratingOf(fan3.motor, { rpm: 1200, hertz: [60] }, 230);
    expect(rating.poles).toBe(6);
    expect(rating.rpm).toBeLessThan(1200);
    expect(rating.assumed).toContain("speed");
  });

  it("a plate that names its poles is taken at its word", () => {
    expect(ratingOf(fan3.motor, { poles: 8, hertz: [60] }, 230).poles).toBe(8);
  });
});

describe("two voltages", () => {
  it("of two amps the greater is the low setting's", () => {
    const rating = ratingOf(
      dualVoltage.motor,
      { volts: [at(115), at(230)], fullLoadAmps: [10, 5], powerWatts: [HP / 2] },
      230,
    );
    expect(rating.volts).toEqual({ low: 115, high: 230 });
    expect(rating.amps).toBe(5);
    expect(rating.ampsByTap).toBeNull();
  });

  it("one figure beside the low volts alone is the low setting's", () => {
    const rating = ratingOf(dualVoltage.motor, { volts: [at(115)], fullLoadAmps: [10] }, 115);
    expect(rating.amps).toBe(5);
    expect(rating.volts).toEqual({ low: 115, high: 230 });
  });

  it("a motor set inside stands at one of its two, and unseen at the one nearer to the supply", () => {
    const plate: Plate = { volts: [at(115), at(230)], fullLoadAmps: [3.6, 1.8] };
    const unseen = ratingOf(fan3.motor, plate, 120);
    expect(unseen.insideSetting?.now).toBeNull();
    expect([unseen.volts.high, unseen.amps]).toEqual([115, 3.6]);
    const seen = ratingOf(fan3.motor, plate, 120, 60, "high");
    expect(seen.insideSetting).toMatchObject({ now: "high", volts: { low: 115, high: 230 } });
    expect([seen.volts.high, seen.amps]).toEqual([230, 1.8]);
  });

  it("a range is no second setting", () => {
    expect(ratingOf(fan3.motor, { volts: [at(208, 230)] }, 230).insideSetting).toBeNull();
  });
});

describe("starting", () => {
  it("locked-rotor amps as plated, or from the code letter's kVA for each horsepower", () => {
    expect(ratingOf(fan3.motor, { lockedRotorAmps: 6.2 }, 230).lockedAmps).toEqual([6.2, 6.2]);
    const byLetter = ratingOf(
      threePhase9Wye.motor,
      { codeLetter: "G", powerWatts: [5 * HP], volts: [at(230), at(460)], phase: 3 },
      460,
    );
    // G: 5.6 to 6.3 kVA a horsepower.
    const [low, high] = byLetter.lockedAmps ?? [0, 0];
    expect(low).toBeCloseTo((5.6 * 5 * 1000) / (460 * Math.sqrt(3)), 3);
    expect(high).toBeCloseTo((6.3 * 5 * 1000) / (460 * Math.sqrt(3)), 3);
  });

  it("one plated figure of a motor of two voltages does not say which it is for", () => {
    expect(ratingOf(dualVoltage.motor, { lockedRotorAmps: 40 }, 230).lockedAmps).toBeNull();
  });

  it("a start capacitor's band is kept, its middle is figured with", () => {
    const band = { lowMicrofarads: 124, highMicrofarads: 149, volts: 165 };
    const rating = ratingOf(capacitorStart230.motor, { startCapacitor: band }, 230);
    expect(rating.startPlated).toEqual(band);
    expect(rating.startMicrofarads).toBeCloseTo(136.5, 6);
  });

  it("as many powers as taps are powers at one speed; with more speeds they are not", () => {
    const taps = { volts: [at(115)], powerWatts: [400, 300, 200, 100] };
    expect(ratingOf(blower4.motor, { ...taps, speeds: 1 }, 115).powers).toEqual([400, 300, 200, 100]);
    expect(ratingOf(blower4.motor, { ...taps, speeds: 4 }, 115).powers).toBeNull();
  });
});
