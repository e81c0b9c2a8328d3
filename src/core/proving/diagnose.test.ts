import { describe, expect, it } from "vitest";
import { compartmentById } from "../wiring";
import { diagnose } from "./diagnose";
import type { Diagnosis, Expectation } from "./diagnosis";
import type { ProvingObservation } from "./observation";
import type { ProvingSheetInput } from "./provingSheet";

/** A condenser fan of three leads on a dual capacitor. */
function fan(
  observations: readonly ProvingObservation[] = [],
  more: Partial<ProvingSheetInput> = {},
): Diagnosis {
  const result = diagnose({
    format: "odd-lead/proving-sheet@1",
    motor: {
      plate: {
        power: "1/4",
        speed: "1075",
        volts: "208-230",
        phase: "1",
        hertz: "60",
        amps: "1.6",
        runCapacitor: "5 MFD 440",
      },
      identification: {
        family: "two-winding",
        roles: { YE: { role: "run-end" }, BK: { role: "speed", rank: 1 }, BN: { role: "start-end" } },
        bonded: [],
        sections: [
          { between: ["YE", "BK"], ohms: 14.1, uncertaintyOhms: 0.3, winding: "main" },
          { between: ["BK", "BN"], ohms: 27.6, uncertaintyOhms: 0.5, winding: "start" },
        ],
      },
    },
    wiring: {
      equipment: "condenser-dual",
      turn: { needed: "ccw-lead-end", neededBy: "the blade", asDrawn: "ccw-lead-end" },
    },
    observations,
    ...more,
  });
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return result;
}

const likely = (of: Diagnosis, what: Expectation["what"], where?: string) => {
  const found = of.expected.find(
    (one) =>
      one.what === what &&
      (where === undefined || ("lead" in one && one.lead === where) || ("at" in one && one.at === where)),
  );
  if (!found || !("likely" in found)) throw new Error(what);
  return found;
};
const call = "cool";
const starts = { what: "starts", call, how: "itself" } as const;

describe("before power", () => {
  it("says what each call is to show, as low, likely and high, and asks for the bump", () => {
    const before = fan();
    const amps = likely(before, "line-amps", "BK");
    expect(amps.low).toBeLessThan(1.6);
    expect(amps.high).toBeGreaterThan(1.5);
    expect(amps.low).toBeLessThan(amps.likely);
    expect(likely(before, "rpm").likely).toBeGreaterThan(1050);
    expect(before.expected).toContainEqual(expect.objectContaining({ what: "turn", turn: "ccw-lead-end" }));
    expect(before.status).toBe("needs-check");
    expect(before.nextCheck).toMatchObject({ what: "starts", call });
  });

  it("narrows what is expected of one place by what was read at another", () => {
    const wide = likely(fan(), "capacitor-volts", "fan");
    const read = likely(
      fan([starts, { what: "capacitor-amps", call, at: "fan", amps: 0.72 }]),
      "capacitor-volts",
      "fan",
    );
    expect(read.high - read.low).toBeLessThan(0.6 * (wide.high - wide.low));
  });
});

describe("what the readings mean", () => {
  const expected = fan();
  const good: ProvingObservation[] = [
    starts,
    { what: "turn", call, seen: "ccw", end: "lead" },
    { what: "line-amps", call, lead: "BK", amps: likely(expected, "line-amps", "BK").likely },
    { what: "line-amps", call, lead: "BN", amps: likely(expected, "line-amps", "BN").likely },
    { what: "line-amps", call, lead: "YE", amps: likely(expected, "line-amps", "YE").likely },
    { what: "rpm", call, rpm: 1077 },
    { what: "supply-volts", call, between: ["L1", "L2"], volts: 231 },
    { what: "capacitor-microfarads", at: "fan", microfarads: 5.02 },
  ];

  it("good once everything agrees and every call was seen; every line is good", () => {
    const seen = fan(good);
    expect(seen.status).toBe("good");
    expect(seen.lines.map(({ verdict }) => verdict)).toEqual(good.map(() => "good"));
    expect(seen.causes[0]).toMatchObject({ cause: "as-planned" });
    expect(seen.nextCheck).toBeNull();
  });

  it("never good before the supply was read under load, whatever else agrees", () => {
    const seen = fan(good.filter(({ what }) => what !== "supply-volts"));
    expect(seen.status).toBe("needs-check");
  });

  it("a line that says to look again is looked at: more is asked for than of a motor whose lines are all good", () => {
    const asked = (times: number) => {
      const amps = times * likely(expected, "line-amps", "BK").likely;
      const few = good.filter((one) => one.what !== "line-amps" || one.lead === "BK");
      return fan(few.map((one) => (one.what === "line-amps" ? { ...one, amps } : one)));
    };
    expect(asked(1).status).toBe("good");
    expect(asked(1.12).lines.some(({ verdict }) => verdict === "again")).toBe(true);
    expect(asked(1.12).status).toBe("needs-check");
  });

  it("the supply is not blamed before it was read: low speed and low amps ask for volts", () => {
    const [amps, rpm] = [likely(expected, "line-amps", "BK").likely, likely(expected, "rpm").likely];
    const seen: ProvingObservation[] = [
      starts,
      { what: "turn", call, seen: "ccw", end: "lead" },
      { what: "rpm", call, rpm: Math.round(0.93 * rpm) },
      { what: "line-amps", call, lead: "BK", amps: 0.93 * amps },
      {
        what: "capacitor-volts",
        call,
        at: "fan",
        volts: 0.75 * likely(expected, "capacitor-volts", "fan").likely,
      },
    ];
    const blamed = fan(seen);
    expect(blamed.causes[0]).toMatchObject({ cause: "supply-low" });
    expect(blamed.status).toBe("needs-check");
    expect(blamed.nextCheck).toMatchObject({ what: "supply-volts" });
    const read = fan([...seen, { what: "supply-volts", call, between: ["L1", "L2"], volts: 178 }]);
    expect(read.causes[0]).toMatchObject({ cause: "supply-low" });
    expect(["found", "stop"]).toContain(read.status);
    // Nobody has a voltmeter there: it is found only where nothing else is left.
    const blind = fan(seen, { without: ["supply-volts"] });
    expect(blind.nextCheck?.what).not.toBe("supply-volts");
  });

  it("a figure that only another build would explain is not good before capacitor and speed were read", () => {
    const unlike = good
      .filter(({ what }) => what !== "rpm" && what !== "capacitor-microfarads")
      .map((one) =>
        one.what === "line-amps" && one.lead === "BN"
          ? { ...one, amps: 1.35 * likely(expected, "line-amps", "BN").high }
          : one,
      );
    const asked = new Set<string>();
    const seen = [...unlike];
    for (let checks = 0; checks < 8; checks++) {
      const { nextCheck, status } = fan(seen, { without: ["capacitor-amps", "capacitor-volts", "ohms"] });
      expect(status).not.toBe("good");
      if (!nextCheck) break;
      asked.add(nextCheck.what);
      if (nextCheck.what === "rpm") seen.push({ what: "rpm", call, rpm: 1077 });
      else if (nextCheck.what === "capacitor-microfarads")
        seen.push({ what: "capacitor-microfarads", at: "fan", microfarads: 3.9 });
      else break;
    }
    expect(asked).toContain("capacitor-microfarads");
  });

  it("one lead cannot carry more than all the others together: then a clamp was put on wrong", () => {
    const turns = good.map((one) =>
      one.what === "line-amps" && one.lead === "YE" ? { ...one, amps: 5 * one.amps } : one,
    );
    const [first] = fan(turns).causes;
    expect([first?.cause, first?.at]).toEqual(["clamp-turns", ["YE"]]);
    expect(fan(good).causes[0]?.cause).toBe("as-planned");
  });

  it.each(["hums", "not-at-all"] as const)(
    "of a motor that %s nobody asks which way it turns or how fast",
    (how) => {
      const seen: ProvingObservation[] = [
        { what: "starts", call, how },
        { what: "line-amps", call, lead: "BK", amps: how === "hums" ? 2.9 : 0 },
      ];
      for (let asked = 0; asked < 6; asked++) {
        const { nextCheck } = fan(seen);
        if (!nextCheck) break;
        expect(["turn", "rpm"]).not.toContain(nextCheck.what);
        if (nextCheck.what === "ohms") seen.push({ what: "ohms", between: nextCheck.between, ohms: 14.1 });
        else if (nextCheck.what === "capacitor-microfarads")
          seen.push({ what: "capacitor-microfarads", at: nextCheck.at, microfarads: 5 });
        else break;
      }
    },
  );

  it("no motor is condemned before its capacitor was read", () => {
    const slow = fan([
      starts,
      { what: "turn", call, seen: "ccw", end: "lead" },
      { what: "rpm", call, rpm: 960 },
      { what: "line-amps", call, lead: "BK", amps: 1.5 },
      { what: "supply-volts", call, between: ["L1", "L2"], volts: 228 },
    ]);
    expect(slow.status).toBe("needs-check");
  });

  it("a capacitor off its label is never good, whatever else agrees", () => {
    const weak = fan([...good, { what: "capacitor-microfarads", at: "fan", microfarads: 4.2 }]);
    expect(weak.lines.at(-1)?.says).toContain("replace it");
    expect(weak.status).not.toBe("good");
    const right = fan([...good, { what: "capacitor-microfarads", at: "fan", microfarads: 4.9 }]);
    expect(right.status).toBe("good");
  });

  it("what nobody has an instrument for is not asked for", () => {
    const course = fan(good.slice(0, 5), { without: ["rpm", "supply-volts", "ohms"] });
    expect(["rpm", "supply-volts", "ohms"]).not.toContain(course.nextCheck?.what);
  });

  it("hums with nothing in the start lead: the capacitor’s side is open, and ohms or µF are asked for", () => {
    const seen = fan([
      { what: "starts", call, how: "hums" },
      { what: "line-amps", call, lead: "BN", amps: 0 },
    ]);
    expect(seen.causes.map(({ cause }) => cause)).toContain("capacitor-open");
    expect(seen.nextCheck?.power).toBe("off");
    const measured = fan([
      { what: "starts", call, how: "hums" },
      { what: "line-amps", call, lead: "BN", amps: 0 },
      { what: "capacitor-microfarads", at: "fan", microfarads: 0 },
    ]);
    expect(measured.status).toBe("found");
    const [first] = measured.causes;
    expect([first?.cause, ...(first?.same ?? []).map(({ cause }) => cause)]).toEqual(
      expect.arrayContaining(["capacitor-open", "capacitor-missing"]),
    );
  });

  it("a weak capacitor is found with how much is left of it, and says what it explains in figures", () => {
    const seen = fan([
      starts,
      { what: "capacitor-microfarads", at: "fan", microfarads: 3.1 },
      { what: "capacitor-amps", call, at: "fan", amps: 0.38 },
    ]);
    expect(seen.status).toBe("found");
    expect(seen.causes[0]?.cause).toBe("capacitor-weak");
    expect(seen.causes[0]?.estimate?.microfarads).toBeGreaterThan(2.8);
    expect(seen.causes[0]?.estimate?.microfarads).toBeLessThan(3.4);
    expect(seen.causes[0]?.explains).toContain(1);
    expect(seen.causes[0]?.wouldShow.join()).toMatch(/µF/);
  });

  it("the wrong way is never good: the family’s one swap, power off", () => {
    const turned = good.map((one) => (one.what === "turn" ? { ...one, seen: "cw" as const } : one));
    const seen = fan(turned);
    expect(seen.status).not.toBe("good");
    expect(seen.lines[1]?.verdict).toBe("again");
    expect(seen.causes[0]?.cause).toBe("turn-reversed");
  });

  it("the same turn from the other end is the same", () => {
    const other = good.map((one) =>
      one.what === "turn" ? { ...one, seen: "cw" as const, end: "shaft" as const } : one,
    );
    expect(fan(other).status).toBe("good");
  });

  it("a reading made again takes the place of the one before", () => {
    const [first] = good.filter(({ what }) => what === "line-amps");
    const slip = { ...(first as Extract<ProvingObservation, { what: "line-amps" }>), amps: 0.2 };
    expect(fan([slip, ...good]).status).toBe("good");
  });

  it("a place or a call that is not there is kept, said, and not weighed", () => {
    const seen = fan([...good, { what: "line-amps", call: "heat", lead: "BK", amps: 9 }]);
    expect(seen.status).toBe("good");
    expect(seen.lines.at(-1)).toMatchObject({ verdict: "again" });
    expect(seen.lines.at(-1)?.says).toMatch(/no such/);
  });
});

describe("stops", () => {
  it.each(["smoke", "smell", "breaker", "ground-fault"] as const)(
    "%s: off, and no check that needs power",
    (sign) => {
      const seen = fan([starts, { what: "sign", call, sign }]);
      expect(seen.status).toBe("stop");
      expect(seen.nextCheck?.power ?? "off").toBe("off");
      expect(seen.findings.some(({ code }) => code === "stop-limit")).toBe(true);
    },
  );

  it("amps over what an overload is set to (115 % of the plate where it names no service factor)", () => {
    const seen = fan([starts, { what: "line-amps", call, lead: "BK", amps: 2.4 }]);
    expect(seen.lines[1]).toMatchObject({ verdict: "stop" });
    expect(seen.lines[1]?.says).toMatch(/plate 1\.6/);
  });

  it("a pump under 0.7 of what is expected runs dry: off", () => {
    const dry = fan([starts, { what: "line-amps", call, lead: "BK", amps: 0.9 }], { load: { kind: "pump" } });
    expect(dry.lines[1]).toMatchObject({ verdict: "stop" });
    expect(fan([starts, { what: "line-amps", call, lead: "BK", amps: 0.9 }]).lines[1]).toMatchObject({
      verdict: "again",
    });
  });

  it("the same amps while it stands and hums are no stop of their own: off within five seconds", () => {
    const seen = fan([
      { what: "starts", call, how: "hums" },
      { what: "line-amps", call, lead: "BK", amps: 3.4 },
    ]);
    expect(seen.lines[1]).toMatchObject({ verdict: "again" });
  });

  it("volts off the plate by over 15 %: another system", () => {
    const seen = fan([starts, { what: "supply-volts", call, between: ["L1", "L2"], volts: 277 }]);
    expect(seen.lines[1]).toMatchObject({ verdict: "stop" });
    const low = fan([starts, { what: "supply-volts", call, between: ["L1", "L2"], volts: 184 }]);
    expect(low.lines[1]).toMatchObject({ verdict: "again" });
  });

  it("a start over five seconds is off; over three it is looked at again", () => {
    const started = (seconds: number) =>
      fan([{ what: "start-amps", call, lead: "BK", peak: 3.4, seconds }]).lines[0]?.verdict;
    expect(started(7)).toBe("stop");
    expect(started(4)).toBe("again");
  });
});

describe("what cannot be proved", () => {
  it("is refused with a path and words", () => {
    const nowhere = diagnose({ format: "odd-lead/proving-sheet@1", motor: {}, wiring: {} });
    expect(nowhere).toMatchObject({ ok: false });
    const noEquipment = diagnose({
      format: "odd-lead/proving-sheet@1",
      motor: { identification: { family: null, roles: {}, bonded: [], sections: [] } },
      wiring: { equipment: "no such" },
    });
    expect(noEquipment).toMatchObject({ ok: false, faults: [{ code: "no-equipment" }] });
    const noWinding = diagnose({
      format: "odd-lead/proving-sheet@1",
      motor: { identification: { family: null, roles: {}, bonded: [], sections: [] } },
      wiring: { compartment: compartmentById("condenser-dual") },
    });
    expect(noWinding).toMatchObject({ ok: false, faults: [{ code: "no-winding" }] });
    expect(diagnose("nonsense")).toMatchObject({ ok: false });
  });

  it.each([
    ["volts", 5],
    ["powerWatts", "abc"],
    ["powerWatts", [0]],
    ["fullLoadAmps", [-1]],
    ["poles", 0],
    ["rpm", 0],
    ["hertz", 60],
    ["runCapacitor", null],
  ])("a plate whose %s is %j is refused with its path, and throws nothing", (field, value) => {
    const refused = diagnose({
      format: "odd-lead/proving-sheet@1",
      motor: {
        plate: { [field]: value },
        identification: {
          family: "two-winding",
          roles: { YE: { role: "run-end" }, BK: { role: "speed", rank: 1 }, BN: { role: "start-end" } },
          bonded: [],
          sections: [
            { between: ["YE", "BK"], ohms: 14.1, uncertaintyOhms: 0.3, winding: "main" },
            { between: ["BK", "BN"], ohms: 27.6, uncertaintyOhms: 0.5, winding: "start" },
          ],
        },
      },
      wiring: { equipment: "condenser-dual" },
    });
    expect(refused.ok).toBe(false);
    expect(!refused.ok && refused.faults[0]?.path.slice(0, 3)).toEqual(["motor", "plate", field]);
  });
});

/** A three-phase motor of three leads on its contactor; `amps` on its lines, in the meter's hundredths. */
function threePhase(observations: readonly ProvingObservation[]): Diagnosis {
  const phase = { role: "phase" } as const;
  const result = diagnose({
    format: "odd-lead/proving-sheet@1",
    motor: {
      plate: { power: "2", speed: "1740", volts: "460", phase: "3", hertz: "60", amps: "3.1" },
      identification: {
        family: "three-phase-3",
        roles: { T1: phase, T2: phase, T3: phase },
        bonded: [],
        sections: ["T1", "T2", "T3"].map((lead) => ({
          between: [lead, "*1"],
          ohms: 3.6,
          uncertaintyOhms: 0.1,
          winding: "phase",
        })),
      },
    },
    wiring: { equipment: "three-phase-contactor" },
    observations,
  });
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return result;
}

describe("three lines", () => {
  const on = threePhase([]).expected.find((one) => one.what === "line-amps")?.call ?? "";
  const amps = (lead: string, value: number, counts: number): ProvingObservation => ({
    what: "line-amps",
    call: on,
    lead,
    amps: value,
    meter: { percent: 0, counts, resolution: 0.01 },
  });
  const last = (values: readonly [number, number, number], counts: number) =>
    threePhase([
      { what: "starts", call: on, how: "itself" },
      ...values.map((value, i) => amps(`T${i + 1}`, value, counts)),
    ]).lines.at(-1)?.verdict;

  it("unlike by more than five per cent are looked at again, by more than ten stopped", () => {
    expect(last([3, 3, 3], 1)).toBe("good");
    expect(last([2.9, 3, 3.3], 1)).toBe("again");
    expect(last([2.6, 3, 3.6], 1)).toBe("stop");
  });

  it("are not called unlike for what the meter itself is off by", () => {
    expect(last([2.9, 3, 3.3], 30)).not.toBe("stop");
    expect(last([2.6, 3, 3.6], 40)).not.toBe("stop");
  });

  it("one that shows nothing while the motor turns is no sound motor: the clamp was round two wires", () => {
    const loose = { percent: 2, counts: 5, resolution: 0.01 };
    const read = (lead: string, value: number): ProvingObservation => ({
      what: "line-amps",
      call: on,
      lead,
      amps: value,
      meter: loose,
    });
    const { causes, status } = threePhase([
      { what: "starts", call: on, how: "itself" },
      { what: "supply-volts", call: on, between: ["L1", "L2"], volts: 460 },
      { what: "rpm", call: on, rpm: 1745 },
      read("T1", 3),
      read("T2", 0),
      read("T3", 3),
    ]);
    expect(causes[0]).toMatchObject({ cause: "clamp-round-two", at: ["T2"] });
    expect(status).not.toBe("good");
  });

  it("are all read before anything is called good", () => {
    const seen: ProvingObservation[] = [{ what: "starts", call: on, how: "itself" }];
    for (let checks = 0; checks < 14; checks++) {
      const { nextCheck, status, expected } = threePhase(seen);
      if (!nextCheck) {
        expect(status).toBe("good");
        break;
      }
      const likely = expected.find(
        (one) =>
          one.what === nextCheck.what &&
          (!("lead" in one) || ("lead" in nextCheck && one.lead === nextCheck.lead)),
      );
      const value = likely && "likely" in likely ? likely.likely : 0;
      if (nextCheck.what === "line-amps") seen.push(amps(nextCheck.lead, Number(value.toFixed(2)), 5));
      else if (nextCheck.what === "rpm") seen.push({ what: "rpm", call: on, rpm: Math.round(value) });
      else if (nextCheck.what === "supply-volts") seen.push({ ...nextCheck, volts: 460 });
      else if (nextCheck.what === "ohms") seen.push({ what: "ohms", between: nextCheck.between, ohms: 7.2 });
      else throw new Error(nextCheck.what);
    }
    const clamped = new Set(seen.flatMap((one) => (one.what === "line-amps" ? [one.lead] : [])));
    expect([...clamped].sort()).toEqual(["T1", "T2", "T3"]);
  });
});

describe("a trip", () => {
  const trip = { what: "sign", call, sign: "breaker" } as const;
  const test = (megohms: number) => ({ what: "insulation", lead: "BK", megohms }) as const;

  it("asks for the insulation before anything is reset, with the power off", () => {
    const tripped = fan([starts, trip]);
    expect(tripped.status).toBe("stop");
    expect(tripped.nextCheck).toMatchObject({ what: "insulation", power: "off" });
  });

  it("is not asked again once it was tested, and a test before the trip does not count", () => {
    expect(fan([starts, trip, test(550)]).nextCheck?.what).not.toBe("insulation");
    expect(fan([starts, test(550), trip]).nextCheck?.what).toBe("insulation");
  });

  it.each([
    [0.4, "stop"],
    [3, "again"],
    [60, "good"],
  ] as const)("%d MΩ at 40 °C: %s (IEEE 43)", (megohms, verdict) => {
    expect(fan([starts, trip, test(megohms)]).lines[2]?.verdict).toBe(verdict);
  });

  it("with insulation that failed is none of the list's causes", () => {
    const unknown = (of: Diagnosis) => of.causes.find(({ cause }) => cause === "unknown")?.probability ?? 0;
    expect(unknown(fan([starts, test(0.2)]))).toBeGreaterThan(10 * unknown(fan([starts, test(500)])));
    expect(fan([starts, test(0.2)]).status).toBe("stop");
  });
});

describe("a pump that nobody sees turn", () => {
  const pressed = (psi: number, way: "as-wired" | "changed") =>
    ({ what: "pressure", call, kilopascals: 6.895 * psi, at: "running", way }) as const;
  const pump = (...seen: ProvingObservation[]) =>
    fan([starts, ...seen], { load: { kind: "pump" }, wiring: { equipment: "condenser-dual" } });
  const reversed = (of: Diagnosis) =>
    of.causes.find(({ cause }) => cause === "turn-reversed")?.probability ?? 0;

  it("is told by the higher pressure of both ways", () => {
    const changed = pump(pressed(30, "as-wired"), pressed(48, "changed"));
    expect(changed.causes[0]?.cause).toBe("turn-reversed");
    expect(changed.causes.find(({ cause }) => cause === "as-planned")?.probability ?? 0).toBeLessThan(0.1);
    expect(reversed(pump(pressed(48, "as-wired"), pressed(30, "changed")))).toBeLessThan(0.01);
  });

  it("one pressure alone tells nothing of it", () => {
    expect(reversed(pump(pressed(30, "as-wired")))).toBeCloseTo(reversed(pump()), 6);
  });

  it("is asked for its pressure at cut-in and cut-out where its switch is told, and only there", () => {
    const load = { kind: "pump", pressureSwitch: { cutInKilopascals: 276, cutOutKilopascals: 414 } } as const;
    const asked = new Set<string>();
    const seen: ProvingObservation[] = [];
    for (let i = 0; i < 20; i++) {
      const { nextCheck, expected } = fan(seen, { load, without: ["capacitor-volts", "ohms"] });
      if (!nextCheck) break;
      if (nextCheck.what === "pressure") {
        asked.add(nextCheck.at);
        seen.push({
          ...nextCheck,
          what: "pressure",
          kilopascals: nextCheck.at === "cut-in" ? 276 : 414,
          way: "as-wired",
        });
        continue;
      }
      const answer = sound(nextCheck, expected);
      if (!answer) break;
      seen.push(answer);
    }
    expect([...asked].sort()).toEqual(["cut-in", "cut-out"]);
    expect(fan(seen, { load, without: ["capacitor-volts", "ohms"] }).status).toBe("good");
    expect(fan([], { load: { kind: "pump" } }).nextCheck?.what).toBe("starts");
    // Nor is it good beside a pressure that is not, or insulation in doubt, however sound the motor runs.
    const beside = (one: ProvingObservation) =>
      fan([...seen, one], { load, without: ["capacitor-volts", "ohms"] }).status;
    expect(beside({ what: "pressure", call, kilopascals: 240, at: "running", way: "as-wired" })).not.toBe(
      "good",
    );
    expect(beside({ what: "insulation", lead: "BK", megohms: 3 })).not.toBe("good");
    expect(beside({ what: "insulation", lead: "BK", megohms: 300 })).toBe("good");
  });
});

/** What a sound motor shows for a check: what is likeliest. */
function sound(
  check: NonNullable<Diagnosis["nextCheck"]>,
  expected: Diagnosis["expected"],
): ProvingObservation | null {
  const figure = expected.find(
    (one) =>
      one.what === check.what &&
      (!("lead" in one) || ("lead" in check && one.lead === check.lead)) &&
      (!("at" in one) || ("at" in check && one.at === check.at)),
  );
  const value = figure && "likely" in figure ? figure.likely : 0;
  switch (check.what) {
    case "starts":
      return { what: "starts", call: check.call, how: "itself" };
    case "turn":
      return { what: "turn", call: check.call, seen: "ccw", end: "lead" };
    case "line-amps":
      return { what: "line-amps", call: check.call, lead: check.lead, amps: value };
    case "capacitor-amps":
      return { what: "capacitor-amps", call: check.call, at: check.at, amps: value };
    case "rpm":
      return { what: "rpm", call: check.call, rpm: Math.round(value) };
    case "supply-volts":
      return { what: "supply-volts", call: check.call, between: check.between, volts: 225 };
    case "capacitor-microfarads":
      return { what: "capacitor-microfarads", at: check.at, microfarads: 5 };
    default:
      return null;
  }
}
