import { describe, expect, it } from "vitest";
import { beliefOf } from "./belief";
import { contactsAtSpeedLog } from "./contactsAtSpeed";
import { diagnose } from "./diagnose";
import type { NextCheck } from "./diagnosis";
import { bandOf } from "./expected";
import { conditioned } from "./gaussian";
import { liesOutside } from "./lineVerdicts";
import { readingsOf } from "./nextCheck";
import type { ProvingObservation } from "./observation";
import { onOddBuild } from "./onOddBuild";
import { provingCase } from "./provingCase";
import { type ProvingSheetInput, provingSheet } from "./provingSheet";
import type { Reading } from "./reading";
import { sightOf } from "./sight";
import { AS_PLANNED, suspectsKept } from "./suspects";

/** A belt blower of two pairs, its start winding taken out by a switch on the shaft. */
const SHEET: ProvingSheetInput = {
  format: "odd-lead/proving-sheet@1",
  motor: {
    plate: { power: "1/3", speed: "1725", volts: "115", phase: "1", hertz: "60", amps: "5.6" },
    identification: {
      family: "split-windings",
      roles: {
        T1: { role: "main" },
        T4: { role: "main" },
        T5: { role: "start" },
        T8: { role: "start" },
      },
      bonded: [],
      sections: [
        { between: ["T1", "T4"], ohms: 2.1, uncertaintyOhms: 0.05, winding: "main" },
        { between: ["T5", "T8"], ohms: 6.3, uncertaintyOhms: 0.1, winding: "start" },
      ],
    },
  },
  wiring: { equipment: "centrifugal-switch" },
};

const opened = provingCase(provingSheet.parse(SHEET));
if (!opened.ok) throw new Error(JSON.stringify(opened.faults));
const made = opened.case;
const sight = sightOf(made);
const [call] = made.calls.map(({ state }) => state.id);
if (!call) throw new Error("no call");
const starting = made.motor.leads.find(({ slot }) => slot.startsWith("start"))?.id ?? "T5";
const planned = sight.run(AS_PLANNED, call);

describe("start gear that is proved by clamp and tachometer", () => {
  it("its contact stands open as it runs, and what it cuts out carries amps at power alone", () => {
    expect(planned?.point.open).toHaveLength(1);
    expect(sight.value(AS_PLANNED, { what: "start-amps", call, lead: starting })).toBeGreaterThan(2);
    expect(sight.value(AS_PLANNED, { what: "line-amps", call, lead: starting })).toBeLessThan(0.05);
  });

  it("amps at power are offered of every lead that is alive then", () => {
    const offered = readingsOf(made, sight).flatMap((one) => (one.what === "start-amps" ? [one.lead] : []));
    expect(offered.length).toBe(made.motor.leads.length);
  });

  it("a machine whose contact is still in is not the one that was read above where it opens", () => {
    const rpm = (value: number) => [{ reading: { what: "rpm", call } as const, value, air: 1 }];
    const dragging = suspectsKept(made).filter(({ cause }) => cause === "drag");
    const held = dragging.filter((one) => sight.run(one, call)?.point.open.length === 0);
    for (const one of held) {
      expect(contactsAtSpeedLog(made, sight, one, rpm(1700))).toBeLessThan(-5);
      expect(contactsAtSpeedLog(made, sight, one, rpm(900))).toBe(0);
    }
    expect(contactsAtSpeedLog(made, sight, AS_PLANNED, rpm(1740))).toBe(0);
    // One that is welded shut stays in at any speed.
    const welded = suspectsKept(made).find(({ cause }) => cause === "start-contact-stays-closed");
    expect(welded && contactsAtSpeedLog(made, sight, welded, rpm(1740))).toBe(0);
  });

  it("under the speed at which it opens a closed contact is no fault of its own", () => {
    const slow: ProvingObservation[] = [
      { what: "starts", call, how: "itself" },
      { what: "line-amps", call, lead: "T1", amps: 12 },
      { what: "line-amps", call, lead: starting, amps: 9 },
      { what: "rpm", call, rpm: 1150 },
    ];
    const answered = diagnose({ ...SHEET, observations: slow });
    const [first] = answered.ok ? answered.causes : [];
    expect(answered.ok && answered.status === "found" ? first?.cause : "").not.toBe(
      "start-contact-stays-closed",
    );
  });

  it("amps in the start lead of a motor that runs: the contact never opens", () => {
    const seen: ProvingObservation[] = [{ what: "starts", call, how: "itself" }];
    const welded = suspectsKept(made).find(({ cause }) => cause === "start-contact-stays-closed");
    const shown = (lead: string) => (welded && sight.value(welded, { what: "line-amps", call, lead })) ?? 0;
    for (const lead of [starting, "T1"])
      seen.push({ what: "line-amps", call, lead, amps: Number(shown(lead).toFixed(2)) });
    const answered = diagnose({ ...SHEET, observations: seen });
    expect(answered.ok && answered.causes[0]?.cause).toBe("start-contact-stays-closed");
  });
});

describe("faults of a motor that is built unlike what is usual", () => {
  const build = suspectsKept(made).find((one) => one.cause === "as-planned" && one.change.parameters);
  if (!build) throw new Error("no odd build");

  it("carry the build beneath the fault, and both their rarities", () => {
    const bars = suspectsKept(made).filter(({ cause }) => cause === "rotor-bars");
    for (const both of onOddBuild(build, bars)) {
      const one = bars.find(({ severity }) => severity?.value === both.severity?.value);
      expect(both.prior).toBeLessThan((one?.prior ?? 0) / 5);
      const p = made.fitted.parameters;
      const built = build.change.parameters?.(p) ?? p;
      expect(both.change.parameters?.(p).rotorOhms).toBeCloseTo(
        built.rotorOhms * (both.severity?.value ?? 1),
        6,
      );
    }
  });

  it("are one suspect each time, so that their machines are run once", () => {
    const all = suspectsKept(made);
    expect(onOddBuild(build, all)).toEqual(onOddBuild(build, all));
    expect(onOddBuild(build, all)[0]).toBe(onOddBuild(build, all)[0]);
  });

  it("are weighed where the build explains what was read and the fitted motor does not", () => {
    const amps = (lead: string) => sight.value(build, { what: "line-amps", call, lead }) ?? 0;
    const rpm = sight.value(build, { what: "rpm", call }) ?? 0;
    const seen: ProvingObservation[] = [
      { what: "starts", call, how: "itself" },
      { what: "line-amps", call, lead: "T1", amps: amps("T1") },
      { what: "rpm", call, rpm },
    ];
    const belief = beliefOf(made, sight, seen);
    const total = belief.believed.reduce((sum, { probability }) => sum + probability, belief.unknown);
    expect(total).toBeCloseTo(1, 9);
    expect(belief.believed[0]?.suspect.cause).toBe("as-planned");
  });
});

describe("a speed beside what is expected", () => {
  const before = { suspect: AS_PLANNED, posterior: conditioned([], sight.directions.length + 1) };
  const judging = { made, sight, before, belief: beliefOf(made, sight, []), nameOf: String };
  const { low, high } = bandOf(made, sight, before, { what: "rpm", call }) ?? { low: 0, high: 0 };
  const outside = (rpm: number) =>
    liesOutside(judging, {
      index: 0,
      reading: { what: "rpm", call },
      value: rpm,
      meter: { percent: 1, counts: 5, resolution: 1 },
      air: 1,
    });

  it("lies outside by one revolution, however loose the tachometer", () => {
    expect(high - low).toBeGreaterThan(10);
    expect([low - 1, low + 1, high - 1, high + 1].map(outside)).toEqual([true, false, false, true]);
  });
});

describe("a clamp round what its start gear has cut out", () => {
  const CLAMP = { percent: 2, counts: 5, resolution: 0.01 };
  /** Answers every check as a sound machine would, whatever the clamp shows of nothing. */
  function proved(idleAmps: number) {
    const observations: unknown[] = [];
    for (let asked = 0; asked < 16; asked++) {
      const seen = diagnose({ ...SHEET, observations });
      if (!seen.ok) throw new Error(JSON.stringify(seen.faults));
      if (!seen.nextCheck) return seen;
      observations.push(answered(seen.nextCheck, idleAmps));
    }
    throw new Error("asked without end");
  }
  function answered({ because, power, ...check }: NextCheck, idleAmps: number) {
    if (check.what === "starts") return { ...check, how: "itself" };
    if (check.what === "turn") return { ...check, seen: "cw", end: "lead" };
    const value = sight.value(AS_PLANNED, check as Reading) ?? 0;
    switch (check.what) {
      case "line-amps":
        return { ...check, amps: value < 0.05 ? idleAmps : value, meter: CLAMP };
      case "start-amps":
        return { ...check, peak: value, seconds: 0.8, meter: CLAMP };
      case "capacitor-microfarads":
        return { ...check, microfarads: value };
      case "supply-volts":
        return { ...check, volts: value };
      case "rpm":
        return { ...check, rpm: value };
      case "ohms":
        return { ...check, ...(Number.isFinite(value) ? { ohms: value } : { open: true }) };
      default:
        throw new Error(`${check.what}: ${because}, power ${power}`);
    }
  }

  it.each([0, 0.03, 0.05])("%s A is nothing by a clamp of five counts, and it is good", (amps) => {
    const seen = proved(amps);
    expect(seen.status).toBe("good");
    expect(seen.lines.map(({ verdict }) => verdict)).not.toContain("again");
    expect(seen.lines.some(({ says }) => says.includes("last digits"))).toBe(true);
  });

  it("a quarter of an ampere is not nothing", () => {
    const seen = proved(0.25);
    expect(seen.status).not.toBe("good");
  });
});
