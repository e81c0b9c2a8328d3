import { describe, expect, it } from "vitest";
import type { Plate } from "../motor/plate";
import { CHECK_UP, checkUp } from "./checkUp";
import { microfaradsAtWork, stopAmps, unbalancePercent } from "./limits";
import type { ProvingObservation } from "./observation";

const { call, lead } = CHECK_UP;
const plate: Plate = { volts: [{ low: 208, high: 230 }], fullLoadAmps: [3.2], phase: 1 };
const verdict = (seen: ProvingObservation, of: Plate = plate, label = "35+5 440") =>
  checkUp(of, label, [seen])[0]?.verdict;
const amps = (value: number): ProvingObservation => ({ what: "line-amps", call, lead, amps: value });
const volts = (value: number): ProvingObservation => ({
  what: "supply-volts",
  call,
  between: ["L1", "L2"],
  volts: value,
});
const microfarads = (value: number): ProvingObservation => ({
  what: "capacitor-microfarads",
  at: "fan",
  microfarads: value,
});

describe("a check-up by plate and label alone", () => {
  it("volts within ten per cent of the plate’s range (NEMA MG 1)", () => {
    expect([187, 190, 253].map((v) => verdict(volts(v)))).toEqual(["again", "good", "good"]);
    expect(verdict(volts(277))).toBe("stop");
  });

  it("amps: over the plate look again, over what an overload is set to stop, under 0.7 look again", () => {
    expect([3, 3.4, 3.9, 2].map((a) => verdict(amps(a)))).toEqual(["good", "again", "stop", "again"]);
    expect(stopAmps({ serviceFactorAmps: 3.9 }, 3.2)).toBe(3.9);
    expect(stopAmps({ serviceFactor: 1.15 }, 4)).toBe(5);
    expect(stopAmps({}, 4)).toBeCloseTo(4.6, 12);
  });

  it("a capacitor within its label’s six per cent", () => {
    expect([5.2, 4.8, 4.6].map((c) => verdict(microfarads(c)))).toEqual(["good", "good", "again"]);
  });

  it("three phases: unlike amps over five per cent look again, over ten stop", () => {
    const three: Plate = { ...plate, phase: 3 };
    const last = (...values: number[]) => checkUp(three, "", values.map(amps)).at(-1)?.verdict;
    expect(last(3, 3.1, 3)).toBe("good");
    expect(last(3, 3.2, 2.7)).toBe("again");
    expect(last(3.1, 3.2, 2.4)).toBe("stop");
    expect(unbalancePercent([100, 100, 100])).toBe(0);
    expect(unbalancePercent([110, 100, 90])).toBeCloseTo(10, 12);
  });

  it("the same pair read three times is no unbalance", () => {
    const seen = [volts(230), volts(215), volts(240)];
    expect(checkUp(plate, "", seen).map((line) => line.verdict)).toEqual(["good", "good", "good"]);
    expect(checkUp({ ...plate, phase: 3 }, "", seen).at(-1)?.verdict).toBe("stop");
  });

  it("a module’s call has its 24 V, and they are not taken for the supply’s", () => {
    const call24 = (value: number): ProvingObservation => ({
      what: "supply-volts",
      call: "heat",
      between: ["control", "common"],
      volts: value,
    });
    expect([24.6, 19, 0].map((v) => verdict(call24(v)))).toEqual(["good", "again", "again"]);
    expect(checkUp(plate, "", [call24(24), volts(231)]).map((line) => line.verdict)).toEqual([
      "good",
      "good",
    ]);
  });

  it("C = 10⁶·I/(2π·f·V)", () => {
    expect(microfaradsAtWork(0.9, 388, 60)).toBeCloseTo(6.15, 2);
  });

  it("what the plate does not say is not judged in silence", () => {
    expect(verdict(amps(3), {})).toBe("again");
    expect(verdict(volts(230), {})).toBe("again");
    expect(verdict(microfarads(5), plate, "")).toBe("again");
  });
});
