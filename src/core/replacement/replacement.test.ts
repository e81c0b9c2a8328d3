import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Plate, readPlate, type TypedPlate } from "../motor/plate";
import { polesOf } from "../motor/plate/nominalSpeed";
import { differences } from "./differences";
import { densityRatio, powerTimes } from "./fanLaw";
import { HARD_RULES } from "./hardRules";
import { judgeCandidate, match, type Offer, type RuledOut, weigh } from "./match";
import { mountingSteps } from "./mounting";
import type { Candidate, Need } from "./need";
import { powerLeadFor } from "./powerLead";
import { retrofitSize } from "./retrofit";
import { canTurn, rotationFor } from "./rotationNeed";
import { SOFT_RULES } from "./softRules";

const OLD: TypedPlate = {
  kind: "plain",
  power: "1/3",
  speed: "1075/3SPD",
  volts: "208-230",
  phase: "1",
  hertz: "60",
  amps: "2.6",
  serviceFactor: "1.25",
  runCapacitor: "5/370",
  rotation: "CW LE",
  bodyDiameter: "5-5/8",
  bodyLength: "5",
  shaftDiameter: "1/2",
  shaftLength: "5",
  shaftForm: "flat",
  mount: "band",
  enclosure: "air-over",
  ambient: "40 C",
  bearings: "sleeve",
  protector: "auto",
};

const plateOf = (change: TypedPlate = {}): Plate => {
  const { plate, faults } = readPlate({ ...OLD, ...change });
  expect(faults).toEqual({});
  return plate;
};
const need = (change: TypedPlate = {}, place: Omit<Need, "old"> = {}): Need => ({
  old: plateOf(change),
  ...place,
});
const motor = (change: TypedPlate = {}, count = 1, id = "m"): Candidate => ({
  id,
  name: `Larkhull ${id}`,
  plate: plateOf(change),
  count,
});
const out = (judged: Offer | RuledOut) => ("because" in judged ? judged.because.map(({ rule }) => rule) : []);
const offer = (judged: Offer | RuledOut): Offer => {
  if ("because" in judged) throw new Error(judged.because.map(({ says }) => says).join(" "));
  return judged;
};
const reason = (judged: Offer | RuledOut, rule: string) =>
  offer(judged).reasons.find((one) => one.rule === rule);

describe("hard rules: a miss rules it out, and says why", () => {
  it.each<[string, string, TypedPlate]>([
    ["phase", "phase as the supply has it", { phase: "3" }],
    ["hertz", "hertz as the supply has them", { hertz: "50" }],
    ["volts", "volts of the supply", { volts: "115" }],
    ["speed", "the same nominal speed: 4 poles for 6", { speed: "1625/3SPD" }],
    ["speed", "the same nominal speed: 8 poles for 6", { speed: "825/3SPD" }],
    ["power", "less power is refused", { power: "1/4" }],
    ["shaft-diameter", "shaft diameter as the hub’s bore", { shaftDiameter: "5/8" }],
    ["rotation", "the turning direction available", { rotation: "CCW LE" }],
    ["enclosure", "enclosure no less closed", { enclosure: "open-drip-proof" }],
    ["ambient", "ambient no lower", { ambient: "30 C" }],
    ["body", "a band goes round one diameter", { bodyDiameter: "5" }],
    ["mount", "a mount it can be held by", { mount: "base" }],
    ["kind", "no electronic motor for a plain one", { kind: "electronic" }],
  ])("%s: %s", (rule, _, change) => {
    const judged = judgeCandidate(need(), motor(change));
    expect(out(judged)).toContain(rule);
    if ("because" in judged) for (const { says } of judged.because) expect(says.length).toBeGreaterThan(10);
  });

  it("a motor like the old one in everything is offered, and nothing is held against it", () => {
    const judged = offer(judgeCandidate(need(), motor()));
    expect(judged.points).toBe(0);
    expect(judged.toCheck).toEqual([]);
    expect(judged.reasons.every(({ weight }) => weight === "good")).toBe(true);
  });

  it("a dual-voltage motor serves either voltage, and must be SET", () => {
    const dual = { volts: "115/230", amps: "5.2/2.6" };
    const judged = offer(judgeCandidate(need({}, { supplyVolts: 115 }), motor(dual)));
    expect(judged.toDo.map(({ says }) => says).join(" ")).toContain("SET to 115 V");
    const high = offer(judgeCandidate(need({}, { supplyVolts: 240 }), motor(dual)));
    expect(high.toDo.map(({ says }) => says).join(" ")).toContain("SET to 230 V");
  });

  it("an air-over motor belongs in the air stream only", () => {
    expect(out(judgeCandidate(need({}, { inAirStream: false }), motor()))).toContain("enclosure");
    expect(out(judgeCandidate(need({}, { inAirStream: true }), motor()))).toEqual([]);
  });

  it("an electronic original is never replaced by a plain one, nor by a retrofit", () => {
    expect(out(judgeCandidate(need({ kind: "electronic" }), motor()))).toContain("kind");
    const retrofit = judgeCandidate(need({ kind: "electronic" }), motor({ kind: "retrofit" }));
    expect(out(retrofit)).toContain("kind");
  });

  it("an electronic original’s like is never offered without the maker’s say", () => {
    const judged = offer(judgeCandidate(need({ kind: "electronic" }), motor({ kind: "electronic" })));
    expect(judged.toCheck.map(({ says }) => says).join(" ")).toContain("maker");
  });

  it("a retrofit takes a plain motor’s place whatever its own speed", () => {
    expect(out(judgeCandidate(need(), motor({ kind: "retrofit", speed: "1300" })))).toEqual([]);
  });

  it("sleeve bearings only in the positions they allow", () => {
    expect(out(judgeCandidate(need({ position: "up" }), motor({ position: "level, down" })))).toContain(
      "position",
    );
    expect(out(judgeCandidate(need({ position: "down" }), motor({ position: "level, down" })))).toEqual([]);
    const unsaid = offer(judgeCandidate(need({ position: "up" }), motor({ bearings: "sleeve" })));
    expect(unsaid.toCheck.map(({ rule }) => rule)).toContain("position");
  });

  it("a pump’s wet end, seal and face", () => {
    expect(
      out(judgeCandidate(need({ load: "pump", mount: "face" }), motor({ mount: "face, base" }))),
    ).toEqual([]);
    expect(out(judgeCandidate(need({ load: "pump", mount: "base" }), motor({ mount: "base" })))).toContain(
      "pump",
    );
  });

  it("two shafts where both ends drive", () => {
    expect(out(judgeCandidate(need({ shafts: "2" }), motor({ shafts: "1" })))).toContain("shafts");
  });

  it("a bolt circle exceeds the air opening by an inch", () => {
    const place = { airOpeningMm: 7 * 25.4 };
    expect(out(judgeCandidate(need({}, place), motor({ boltCircle: "7-1/2" })))).toContain("bolt-circle");
    expect(out(judgeCandidate(need({}, place), motor({ boltCircle: "8" })))).toEqual([]);
  });

  it("what neither plate tells is a thing to check, not a reason to refuse", () => {
    const judged = offer(judgeCandidate({ old: {} }, { id: "x", name: "x", plate: {}, count: 1 }));
    expect(judged.toCheck.length).toBeGreaterThan(6);
  });
});

describe("soft rules: ranked, each with its numbers", () => {
  it("power: equal best, the next standard size good, more costs amps and body", () => {
    const points = (power: string) => reason(judgeCandidate(need(), motor({ power })), "power")?.points ?? 0;
    expect(points("1/3")).toBe(0);
    expect(points("1/2")).toBeGreaterThan(0);
    expect(points("3/4")).toBeGreaterThan(points("1/2"));
    expect(reason(judgeCandidate(need(), motor({ power: "3/4" })), "power")?.says).toContain(
      "2 standard sizes up",
    );
  });

  it("amps within +15 %, or check contactor, breaker and wire", () => {
    expect(reason(judgeCandidate(need(), motor({ amps: "2.99" })), "amps")?.weight).toBe("good");
    const over = reason(judgeCandidate(need(), motor({ amps: "3.2" })), "amps");
    expect(over?.weight).toBe("again");
    expect(over?.says).toMatch(
      /3\.2 A for 2\.6 A, 23 % more than the old motor.*contactor, breaker and wire/,
    );
  });

  it("speeds at least those in use: a call must not share one", () => {
    expect(reason(judgeCandidate(need(), motor({ speed: "1075/2SPD" })), "speeds")?.says).toContain(
      "2 speeds only, 3 in use",
    );
    expect(
      reason(judgeCandidate(need({}, { speedsInUse: 1 }), motor({ speed: "1075/2SPD" })), "speeds")?.weight,
    ).toBe("good");
  });

  it("a blade asks for power with the cube of speed: said with its number when speeds differ", () => {
    const says = reason(judgeCandidate(need({ speed: "1050" }), motor({ speed: "1140" })), "rpm")?.says;
    expect(says).toContain("(1140/1050)³ = 1.28 times the power");
  });

  it("service factor not lower, protector and bearings alike, drains, lead length, body", () => {
    const judged = judgeCandidate(
      need({ position: "down", leadLength: "24" }),
      motor({
        serviceFactor: "1",
        protector: "none",
        weepPlugs: "no",
        leadLength: "12",
        bodyLength: "7",
        position: "any",
      }),
    );
    for (const rule of ["service-factor", "protector", "orientation", "lead-length", "body-length"])
      expect([rule, reason(judged, rule)?.weight]).toEqual([rule, "again"]);
  });

  it("a shaft too short weighs more than one to be cut", () => {
    const short = reason(judgeCandidate(need(), motor({ shaftLength: "4" })), "shaft-length");
    const long = reason(judgeCandidate(need(), motor({ shaftLength: "6" })), "shaft-length");
    expect(long?.says).toContain("cut to 5 in");
    expect(short?.points).toBeGreaterThan(long?.points ?? 0);
  });

  it("truck stock first, then order", () => {
    const { offers } = match(need(), [motor({}, 0, "order"), motor({}, 2, "truck")]);
    expect(offers.map(({ candidate }) => candidate.id)).toEqual(["truck", "order"]);
  });

  it("where two bodies serve, the smaller comes first", () => {
    const { offers } = match(need(), [
      motor({ bodyLength: "6" }, 1, "long"),
      motor({ bodyLength: "4-1/2" }, 1, "short"),
    ]);
    expect(offers[0]?.candidate.id).toBe("short");
  });

  it("the capacitor goes with the new motor", () => {
    expect(reason(judgeCandidate(need(), motor({ runCapacitor: "7.5/440" })), "capacitor")?.says).toContain(
      "7.5 µF at 440 V instead of 5",
    );
  });
});

describe("multi-power motors", () => {
  const watts = (text: string) => readPlate({ power: text }).plate.powerWatts ?? [];

  it("the lead nearest the old plate, not under; the rest capped", () => {
    const lead = powerLeadFor(watts("1/2, 1/3, 1/4, 1/5"), watts("1/3")[0] ?? 0);
    expect(lead?.rank).toBe(2);
    expect(lead?.says).toBe(
      "Use the 1/3 hp lead; cap 1/2 hp, 1/4 hp, 1/5 hp, each on its own. The rpm is the same on every power lead.",
    );
    expect(powerLeadFor(watts("1/2, 1/3"), watts("1/4")[0] ?? 0)?.rank).toBe(2);
    expect(powerLeadFor(watts("1/3, 1/4"), watts("1/2")[0] ?? 0)).toBeNull();
  });

  it("is in the offer, and in the reason of its power", () => {
    const judged = offer(judgeCandidate(need(), motor({ power: "1/2, 1/3, 1/4" })));
    expect(judged.powerLead?.rank).toBe(2);
    expect(judged.reasons.find(({ rule }) => rule === "power")?.says).toContain("Use the 1/3 hp lead");
  });
});

describe("speeds", () => {
  it.each([
    ["3450", "60", 2],
    ["1725", "60", 4],
    ["1550", "60", 4],
    ["1075", "60", 6],
    ["825", "60", 8],
    ["2850", "50", 2],
    ["1425", "50", 4],
    ["930", "50", 6],
    ["700", "50", 8],
  ])("%s rpm at %s Hz is %d poles", (speed, hertz, poles) => {
    expect(polesOf(readPlate({ speed, hertz }).plate)).toBe(poles);
  });

  it("a blade for 825 rpm on a 1075 rpm motor asks for 2.2 times the power", () => {
    expect(powerTimes(1075, 825)).toBeCloseTo(2.2, 1);
  });

  it("thin air weighs less: 86 % at 1200 m", () => {
    expect(densityRatio(1200)).toBeCloseTo(0.865, 2);
    expect(densityRatio(0, 20)).toBeCloseTo(1, 6);
  });
});

describe("rotation worked out", () => {
  it("a propeller’s far edge goes first, seen from where the air goes", () => {
    expect(rotationFor({ kind: "propeller", nearEdge: "left", leadEnd: "towards-me" }).rotation).toBe(
      "cw-lead-end",
    );
    expect(rotationFor({ kind: "propeller", nearEdge: "right", leadEnd: "towards-me" }).rotation).toBe(
      "ccw-lead-end",
    );
  });

  it("a wheel turns the way its scroll opens", () => {
    expect(rotationFor({ kind: "blower", scrollOpens: "clockwise", leadEnd: "away-from-me" }).rotation).toBe(
      "ccw-lead-end",
    );
  });

  it("from the other end it is the other way round, and both ends are said", () => {
    for (const nearEdge of ["left", "right"] as const) {
      const [near, far] = (["towards-me", "away-from-me"] as const).map((leadEnd) =>
        rotationFor({ kind: "propeller", nearEdge, leadEnd }),
      );
      expect(near?.rotation).not.toBe(far?.rotation);
      expect(near?.says).toMatch(/lead end.*shaft end/);
    }
    expect(canTurn("either", "cw-lead-end")).toBe(true);
    expect(canTurn("ccw-lead-end", "cw-lead-end")).toBe(false);
  });
});

describe("electronic retrofits", () => {
  it("are chosen by the old plate’s power, else by tons, else by heating output", () => {
    expect(retrofitSize({ old: plateOf({ power: "1/2" }) })?.by).toBe("power");
    expect(retrofitSize({ old: {}, coolingTons: 3 })).toMatchObject({ by: "tons" });
    expect(retrofitSize({ old: {}, heatingKilowatts: 15 })).toMatchObject({ by: "heating" });
    const third = motor({ kind: "retrofit", power: "1/3, 1/2" });
    const { power: _, ...unknownPower } = OLD;
    const blower = (coolingTons: number): Need => ({ old: readPlate(unknownPower).plate, coolingTons });
    expect(out(judgeCandidate(blower(5), third))).toContain("power");
    expect(
      offer(judgeCandidate(blower(3), third))
        .toDo.map(({ says }) => says)
        .join(" "),
    ).toContain("By 3 tons of cooling");
    expect(retrofitSize({ old: {} })).toBeNull();
    expect(retrofitSize({ old: {}, coolingTons: 20 })).toBeNull();
  });
});

describe("side by side and mounting", () => {
  it("shows only what differs", () => {
    const list = differences(plateOf(), plateOf({ power: "1/2", shaftLength: "6" }));
    expect(list.map(({ field }) => field)).toEqual(["power", "shaftLength"]);
    expect(differences(plateOf(), plateOf())).toEqual([]);
  });

  it("says to set the volts, where the band goes, which plug comes out, and where to cut", () => {
    const steps = mountingSteps(
      need({ position: "up" }),
      motor({ volts: "115/230", amps: "5/2.5", shaftLength: "6", weepPlugs: "yes" }),
    );
    const ids = steps.map(({ id }) => id);
    for (const id of ["set-volts", "band", "weep", "rain-shield", "cut-shaft", "lead-exit"])
      expect(ids).toContain(id);
    expect(ids.indexOf("blade-mark")).toBe(0);
  });
});

it("an odd stamped speed is no match for one far from it, though a rule could give both the same poles", () => {
  const old = plateOf({ speed: "825", hertz: "50" });
  expect(out(judgeCandidate({ old }, motor({ speed: "1075/3SPD", hertz: "50/60" })))).toContain("speed");
});

describe("the ranking, on random plates", () => {
  const typed = fc.record(
    {
      kind: fc.constantFrom("plain", "electronic", "retrofit"),
      power: fc.constantFrom("1/6", "1/4", "1/3", "1/2", "1/2, 1/3", "3/4"),
      speed: fc.constantFrom("825", "1075/3SPD", "1625/2SPD", "3450"),
      volts: fc.constantFrom("115", "208-230", "115/230", "460"),
      phase: fc.constantFrom("1", "3"),
      hertz: fc.constantFrom("60", "50", "50/60"),
      amps: fc.constantFrom("1.4", "2.6", "5.2"),
      rotation: fc.constantFrom("CW LE", "CCW LE", "REV"),
      bodyDiameter: fc.constantFrom("5", "5-5/8"),
      shaftDiameter: fc.constantFrom("1/2", "5/8"),
      mount: fc.constantFrom("band", "band, studs", "base"),
      enclosure: fc.constantFrom("open-drip-proof", "air-over", "fan-cooled"),
      ambient: fc.constantFrom("40", "60"),
    },
    { requiredKeys: [] },
  );

  it("never offers what breaks a hard rule; tells the reason of every other", () => {
    fc.assert(
      fc.property(
        typed,
        fc.array(typed, { minLength: 1, maxLength: 6 }),
        fc.option(fc.constantFrom(115, 230, 460), { nil: undefined }),
        (old, list, supplyVolts) => {
          const wanted: Need = {
            old: readPlate(old as TypedPlate).plate,
            ...(supplyVolts === undefined ? {} : { supplyVolts }),
          };
          const candidates = list.map((one, i) => ({
            id: String(i),
            name: String(i),
            plate: readPlate(one as TypedPlate).plate,
            count: i % 2,
          }));
          const { offers, ruledOut } = match(wanted, candidates);
          expect(offers.length + ruledOut.length).toBe(candidates.length);
          for (const { candidate } of offers) {
            expect(breaks(wanted, candidate.plate)).toEqual([]);
            for (const rule of HARD_RULES) {
              const says = rule.judge(wanted);
              expect((typeof says === "function" ? says(candidate) : says).verdict).not.toBe("misses");
            }
          }
          for (const { because } of ruledOut) expect(because.length).toBeGreaterThan(0);
          for (let i = 1; i < offers.length; i++)
            expect(offers[i]?.points).toBeGreaterThanOrEqual(offers[i - 1]?.points ?? 0);
        },
      ),
      { numRuns: 300 },
    );
  });

  it("weighs as it judges, and shows the front of the whole ranking", () => {
    fc.assert(
      fc.property(typed, fc.array(typed, { minLength: 1, maxLength: 8 }), fc.nat(4), (old, list, most) => {
        const wanted: Need = { old: readPlate(old as TypedPlate).plate };
        const candidates = list.map((one, i) => ({
          id: String(i),
          name: `motor ${list.length - i}`,
          plate: readPlate(one as TypedPlate).plate,
          count: i % 2,
        }));
        for (const candidate of candidates) {
          const weighed = weigh(wanted, candidate);
          const judged = judgeCandidate(wanted, candidate);
          if ("because" in judged) expect(weighed.misses).toBe(judged.because.length);
          else {
            expect(weighed).toMatchObject({ misses: 0, unknown: judged.toCheck.length });
            expect(weighed.points).toBeCloseTo(judged.points, 9);
            // A rule that gave points back would let the weighing stop too early.
            for (const { points } of judged.reasons) expect(points).toBeGreaterThanOrEqual(0);
          }
        }
        const whole = match(wanted, candidates);
        const shown = match(wanted, candidates, { offers: most, ruledOut: most });
        expect(shown.offers).toEqual(whole.offers.slice(0, most));
        expect(shown.ruledOut).toEqual(whole.ruledOut.slice(0, most));
        expect([shown.offered, shown.refused]).toEqual([whole.offers.length, whole.ruledOut.length]);
      }),
    );
  });

  it("every rule has its own name and title", () => {
    const rules = [...HARD_RULES, ...SOFT_RULES];
    expect(new Set(rules.map(({ id }) => `${id}`)).size).toBeGreaterThanOrEqual(rules.length - 1);
    for (const { title } of rules) expect(title.length).toBeGreaterThan(10);
  });
});

/** The hard rules told a second time, plainly, from the plates alone: what would be wrong beyond any doubt. */
function breaks({ old, supplyVolts }: Need, plate: Plate): string[] {
  const wrong: string[] = [];
  const say = (bad: boolean | number | undefined, what: string) => {
    if (bad) wrong.push(what);
  };
  say(old.phase && plate.phase && old.phase !== plate.phase, "phase");
  say(old.hertz && plate.hertz && !old.hertz.some((h) => plate.hertz?.includes(h)), "hertz");
  const supply = supplyVolts ?? (old.volts?.length === 1 ? old.volts[0]?.high : undefined);
  say(
    supply && plate.volts?.every(({ low, high }) => supply < 0.9 * low - 1e-6 || supply > 1.1 * high + 1e-6),
    "volts",
  );
  say(
    old.powerWatts && plate.powerWatts && Math.max(...plate.powerWatts) < 0.97 * Math.max(...old.powerWatts),
    "power",
  );
  say(
    old.shaftDiameterMm && plate.shaftDiameterMm && Math.abs(old.shaftDiameterMm - plate.shaftDiameterMm) > 1,
    "shaft",
  );
  say(
    old.rotation &&
      plate.rotation &&
      old.rotation !== "either" &&
      plate.rotation !== "either" &&
      old.rotation !== plate.rotation,
    "rotation",
  );
  say(old.ambientC !== undefined && plate.ambientC !== undefined && plate.ambientC < old.ambientC, "ambient");
  say(old.mounts && plate.mounts && !old.mounts.some((m) => plate.mounts?.includes(m)), "mount");
  say(
    old.enclosure !== undefined &&
      old.enclosure !== "open-drip-proof" &&
      plate.enclosure === "open-drip-proof",
    "enclosure",
  );
  say((old.kind === "electronic") !== (plate.kind === "electronic"), "kind");
  say(plate.kind !== "retrofit" && old.rpm && plate.rpm && Math.abs(old.rpm / plate.rpm - 1) > 0.2, "speed");
  return wrong;
}
