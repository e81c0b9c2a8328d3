import { describe, expect, it } from "vitest";
import type { ProvingObservation } from "./observation";
import { pressureVerdict } from "./pressureVerdict";

type Pressure = Extract<ProvingObservation, { what: "pressure" }>;

const PSI = 6.894757;
const read = (psi: number, more: Partial<Pressure> = {}): Pressure => ({
  what: "pressure",
  call: "run",
  kilopascals: psi * PSI,
  at: "running",
  way: "as-wired",
  ...more,
});
const set = { pressureSwitch: { cutInKilopascals: 40 * PSI, cutOutKilopascals: 60 * PSI } };
const verdict = (seen: Pressure, before: readonly Pressure[] = [], load = set) =>
  pressureVerdict(load, seen, before).verdict;

describe("a pump's pressure beside its switch", () => {
  it("is good between where it starts and where it stops", () => {
    expect(verdict(read(52))).toBe("good");
  });

  it("under 0.7 of where it starts the pump runs dry: off", () => {
    expect(verdict(read(27))).toBe("stop");
    // The gauge itself may be off: on the edge nothing is stopped.
    expect(verdict(read(27.8))).toBe("again");
  });

  it("that does not come up to where it starts is looked at again", () => {
    expect(verdict(read(35))).toBe("again");
  });

  it("over where it stops, the switch does not stop it", () => {
    expect(verdict(read(70))).toBe("again");
  });

  it.each([
    [40, "cut-in", "good"],
    [43, "cut-in", "good"],
    [48, "cut-in", "again"],
    [60, "cut-out", "good"],
    [75, "cut-out", "again"],
  ] as const)("%d psi at %s: %s", (psi, at, says) => {
    expect(verdict(read(psi, { at }))).toBe(says);
  });

  it("is kept and not judged where nobody said how its switch is set", () => {
    const { verdict: of, says } = pressureVerdict({}, read(12), []);
    expect(of).toBe("good");
    expect(says).toContain("kept");
  });
});

describe("a pump tried both ways", () => {
  it("turns right the way that delivers more, whatever its switch is set to", () => {
    expect(verdict(read(50), [read(31, { way: "changed" })])).toBe("good");
    expect(verdict(read(50, { way: "changed" }), [read(31)])).toBe("again");
  });

  it("is not told by two pressures that are nearly one", () => {
    expect(verdict(read(52, { way: "changed" }), [read(50)])).toBe("good");
  });
});
