import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { platedMotor } from "../../bench/platedMotor";
import { seededRandom } from "../../bench/random";
import { type WrongKind, wrongWirings } from "../../bench/wrongWirings";
import { fitMotor } from "../../machine/fitMotor";
import { ratingOf } from "../../machine/rating";
import { woundMotor } from "../../machine/woundMotor";
import { CAPPED, type Compartment } from "../compartment";
import { COMPARTMENTS, compartmentById } from "../compartments";
import { FRAME, type WiringPlan } from "../plan";
import { planWiring } from "../planWiring";
import {
  blower4,
  capacitorStart230,
  dualVoltage,
  fan3,
  fan4,
  plansFor,
  reversible,
  splitPhase,
  type TestMotor,
  testMotor,
  threePhase3,
} from "../testMotors";
import { checkPlan, type WiringCheck } from "./check";
import type { CheckCode } from "./finding";

const at = (id: string): Compartment => {
  const made = compartmentById(id);
  if (!made) throw new Error(id);
  return made;
};
const first = (motor: TestMotor, id: string): WiringPlan => {
  const [plan] = plansFor(motor, at(id));
  if (!plan) throw new Error(id);
  return plan;
};
const codes = (check: WiringCheck, weight = "stop") =>
  check.findings.filter((found) => found.weight === weight).map(({ code }) => code);
const moved = (plan: WiringPlan, landings: Record<string, string>): WiringPlan => ({
  ...plan,
  landings: { ...plan.landings, ...landings },
});

describe("a wrong move, as the trade knows what comes of it", () => {
  const dual = first(fan3, "condenser-dual");
  const board = first(blower4, "furnace-board");

  it("start end left off: it hums at several times its amps", () => {
    const check = checkPlan(moved(dual, { bn: CAPPED }), fan3);
    expect(codes(check)).toContain("hums");
    expect(check.findings[0]?.says).toMatch(/hums and does not turn, at \d/);
  });

  it("a lead off the line: nothing happens", () => {
    expect(codes(checkPlan(moved(dual, { bk: CAPPED, bn: CAPPED }), fan3))).toEqual(["nothing-runs"]);
  });

  it("two taps tied: a circulating current, named as tied taps with its leads", () => {
    const check = checkPlan(moved(board, { bu: "board.COOL" }), blower4);
    const tied = check.findings.find(({ code }) => code === "tied-taps");
    expect(tied?.leads).toEqual(["bk", "bu"]);
    expect(codes(check)).toContain("winding-overload");
  });

  it("two unused taps under one cap burn as well, though nothing feeds them", () => {
    const joined = moved(first(blower4, "bench-cord"), { bu: "joint-9", rd: "joint-9" });
    expect(codes(checkPlan(joined, blower4))).toEqual(
      expect.arrayContaining(["tied-taps", "winding-overload"]),
    );
  });

  it("the duplicate lead on the other line: a short through the motor, told before power", () => {
    const check = checkPlan(moved(first(fan4, "condenser-dual"), { "bn/wh": "contactor.T1" }), fan4);
    expect(codes(check)).toContain("short-through-motor");
    expect(check.findings[0]?.leads).toContain("bn/wh");
  });

  it("a jumper from line to line is a dead short, and the place is named", () => {
    const check = checkPlan(
      { ...dual, jumpers: [{ id: "j", from: "contactor.T1", to: "contactor.T2" }] },
      fan3,
    );
    const short = check.findings.find(({ code }) => code === "line-short");
    expect(short?.places).toEqual(["contactor.T1", "contactor.T2"]);
  });

  it("taps changed over: another speed than asked for on each of the two calls", () => {
    const check = checkPlan(moved(board, { bk: "board.FAN", rd: "board.COOL" }), blower4);
    expect(
      check.findings
        .filter(({ code }) => code === "wrong-speed")
        .map(({ state }) => state)
        .sort(),
    ).toEqual(["cool", "fan"]);
  });

  it("taps too nearly alike to be told by speed are told by where they land", () => {
    const close = testMotor(
      "two-winding",
      {
        wh: { role: "run-end" },
        bk: { role: "speed", rank: 1 },
        rd: { role: "speed", rank: 2 },
        bn: { role: "start-end" },
      },
      [
        ["wh", "bk", 1.5, "main"],
        ["bk", "rd", 0.02, "speed"],
        ["rd", "bn", 4, "start"],
      ],
      blower4.plate,
    );
    const plan = first(close, "furnace-board");
    expect(codes(checkPlan(plan, close))).toEqual([]);
    const swapped = checkPlan(moved(plan, { bk: plan.landings.rd ?? "", rd: plan.landings.bk ?? "" }), close);
    expect(
      swapped.findings
        .filter(({ code, weight }) => code === "wrong-speed" && weight === "stop")
        .map(({ state }) => state),
    ).toContain("cool");
  });

  it("a plate that no machine meets is not passed over in silence: it says that nothing is proved", () => {
    const plan = first(fan3, "condenser-dual");
    const { motor, fitted } = fan3;
    const impossible = { motor, fitted: { ...fitted, parameters: { ...fitted.parameters, startTurns: 0 } } };
    const check = checkPlan(plan, impossible);
    expect(check.weight).toBe("again");
    expect(codes(check, "again")).toContain("not-figured");
    expect(check.findings.map(({ code }) => code)).not.toContain("runs-right");
  });

  it("plate and ohms that make no one motor are said, with how far they are apart", () => {
    const { motor, plate } = fan3;
    const fitted = fitMotor(motor, ratingOf(motor, { ...plate, powerWatts: [1000] }, 230));
    const [plan] = plansFor({ ...fan3, fitted }, at("condenser-dual"));
    const found =
      plan && checkPlan(plan, { motor, fitted }).findings.find(({ code }) => code === "plate-not-met");
    expect(found?.says).toMatch(/torque at the plate’s speed 8.88 N·m, the model [\d.]+ N·m/);
    expect(checkPlan(first(fan3, "condenser-dual"), fan3).findings.map(({ code }) => code)).not.toContain(
      "plate-not-met",
    );
  });

  it("which way a three-phase or a reversible motor turns is left to the bump", () => {
    for (const [motor, id] of [
      [threePhase3, "three-phase-contactor"],
      [reversible, "reversing-switch"],
    ] as const)
      for (const { code, says } of checkPlan(first(motor, id), motor).findings)
        if (code === "runs-right") expect(says).toContain("bump it");
  });

  it("start leads changed over: it turns the wrong way, and nothing else is wrong", () => {
    const plan = first(splitPhase, "centrifugal-switch");
    const check = checkPlan(moved(plan, { bk: "switch.LOAD", rd: "switch.N" }), splitPhase);
    expect(codes(check)).toEqual(["reversed"]);
  });

  it("230 V on the low setting burns, 115 V on the high one hangs with more than its amps", () => {
    const low = first(dualVoltage, "centrifugal-switch");
    const high = first(dualVoltage, "pump-pressure-switch");
    const supply = (plan: WiringPlan, volts: number): WiringPlan => ({
      ...plan,
      compartment: { ...plan.compartment, supply: { ...plan.compartment.supply, volts } },
    });
    expect(codes(checkPlan(supply(low, 230), dualVoltage))).toEqual(
      expect.arrayContaining(["setting", "winding-over-volts"]),
    );
    const weak = checkPlan(supply(high, 115), dualVoltage);
    expect(codes(weak)).toContain("setting");
    expect(codes(weak).some((code) => code === "crawls" || code === "hums")).toBe(true);
  });

  it("the neutral switched: the leads stay live with the switch off", () => {
    const plan = first(splitPhase, "centrifugal-switch");
    const swapped = {
      ...plan,
      compartment: { ...plan.compartment, supply: { ...plan.compartment.supply, terminals: ["N", "L"] } },
    };
    expect(codes(checkPlan(swapped, splitPhase))).toContain("live-when-off");
  });

  it("a single-pole contactor leaves a leg live: look again, no stop", () => {
    const check = checkPlan(first(fan3, "condenser-single"), fan3);
    expect(check.weight).toBe("again");
    expect(codes(check, "again")).toEqual(["one-leg-live"]);
  });

  it("a frame on nothing, and a frame on a line", () => {
    expect(codes(checkPlan(moved(dual, { [FRAME]: CAPPED }), fan3))).toContain("frame-not-grounded");
    const live = checkPlan(moved(dual, { [FRAME]: "contactor.T1" }), fan3);
    expect(live.findings.find(({ code }) => code === "frame-not-grounded")?.says).toContain("live");
  });

  it("the compressor's wire taken off: it has lost its common", () => {
    const { wires } = dual.compartment;
    const off = {
      ...dual,
      compartment: { ...dual.compartment, wires: wires.filter(({ id }) => id !== "compressor-start") },
      removed: wires.filter(({ id }) => id === "compressor-start"),
    };
    const found = checkPlan(off, fan3).findings.find(({ code }) => code === "serves-cut");
    expect(found?.says).toContain("compressor");
  });

  it("too many wires on a place, and solid beside stranded under one screw: look again", () => {
    const made = at("pump-pressure-switch");
    const narrow = {
      ...made,
      wires: [{ id: "solid", from: "L1", to: "pressure.T1", solid: true }],
    };
    const [plan] = plansFor(dualVoltage, made);
    const crowded = plan && moved(plan, { t2: "pressure.T2", t3: "pressure.T2", t8: "pressure.T2" });
    expect(crowded && checkPlan(crowded, dualVoltage).findings.map(({ code }) => code)).toContain("places");
    const mixed = plan && { ...plan, compartment: narrow };
    expect(mixed && checkPlan(mixed, dualVoltage).findings.map(({ code }) => code)).toContain("mixed-wire");
  });

  it("a relay whose coil has lost its return never drops the start capacitor out", () => {
    const plan = first(capacitorStart230, "start-capacitor-relay");
    const { wires } = plan.compartment;
    const off = {
      ...plan,
      compartment: { ...plan.compartment, wires: wires.filter(({ id }) => id !== "relay-to-line") },
    };
    expect(codes(checkPlan(off, capacitorStart230))).toContain("start-stays-in");
  });

  it("a capacitor rated under what it sees, and one of another value", () => {
    const weak = plansFor(fan3, at("air-handler-relay"), {
      runCapacitor: { microfarads: 5, volts: 250, known: true },
    })[0];
    const low = weak && {
      ...weak,
      compartment: {
        ...weak.compartment,
        devices: weak.compartment.devices.map((d) => ({
          ...d,
          parts: d.parts.map((p) => (p.kind === "capacitor" ? { ...p, volts: 250 } : p)),
        })),
      },
    };
    expect(low && codes(checkPlan(low, fan3))).toContain("capacitor-over-volts");
    const big = plansFor(fan3, at("air-handler-relay"), {
      runCapacitor: { microfarads: 15, volts: 440, known: true },
    })[0];
    expect(big && codes(checkPlan(big, fan3))).toContain("capacitor-value");
  });

  it("unused taps stand beyond the line, and each is said with its volts", () => {
    const check = checkPlan(first(blower4, "bench-cord"), blower4);
    const capped = check.findings.filter(({ code }) => code === "capped-volts");
    expect(capped.map(({ leads }) => leads[0]).sort()).toEqual(["bu", "rd", "ye"]);
    const slowest = capped.find(({ leads }) => leads[0] === "rd")?.says ?? "";
    expect(Number(/about (\d+)/.exec(slowest)?.[1])).toBeGreaterThan(125);
  });
});

/** Which kinds of motor each compartment of the library is for, with their lead counts. */
const MEANT_FOR: Readonly<Record<string, readonly (readonly [family: string, leads: number])[]>> = {
  "condenser-dual": [
    ["two-winding", 3],
    ["two-winding", 4],
    ["two-winding", 5],
  ],
  "condenser-single": [
    ["two-winding", 3],
    ["two-winding", 4],
  ],
  "furnace-board": [
    ["two-winding", 5],
    ["two-winding", 6],
    ["two-winding", 7],
    ["one-winding", 4],
  ],
  "furnace-board-two-stage": [
    ["two-winding", 6],
    ["two-winding", 7],
  ],
  "air-handler-relay": [
    ["two-winding", 5],
    ["one-winding", 2],
  ],
  "bench-cord": [
    ["one-winding", 2],
    ["split-windings", 4],
    ["two-winding", 4],
    ["two-winding", 6],
  ],
  "pump-pressure-switch": [
    ["dual-voltage-single-phase", 5],
    ["dual-voltage-single-phase", 6],
    ["dual-voltage-single-phase", 8],
    ["split-windings", 4],
  ],
  "centrifugal-switch": [
    ["split-windings", 4],
    ["dual-voltage-single-phase", 6],
    ["dual-voltage-single-phase", 7],
  ],
  "start-capacitor-relay": [["split-windings", 4]],
  "submersible-box": [["two-winding", 3]],
  "two-speed-switch": [
    ["two-speed-two-main", 5],
    ["two-speed-two-main", 6],
  ],
  "reversing-switch": [["two-winding-reversible", 3]],
  "three-phase-contactor": [
    ["three-phase-3", 3],
    ["three-phase-9-wye", 9],
    ["three-phase-12", 12],
  ],
  "three-phase-starter": [
    ["three-phase-6", 6],
    ["three-phase-9-delta", 9],
  ],
};
const SETUPS = COMPARTMENTS.flatMap((made) =>
  (MEANT_FOR[made.id] ?? []).map(([family, leads]) => ({ made, family, leads })),
);

function good(setup: (typeof SETUPS)[number], seed: number) {
  const { made, family, leads } = setup;
  const two = family.startsWith("dual") || /three-phase-(6|9|12)/.test(family);
  const volts = two && made.supply.volts < 150 ? 230 : made.supply.volts;
  const {
    known,
    motor: virtual,
    plate,
  } = platedMotor(seededRandom(seed), family, leads, volts, (b) => !b.unusual);
  const motor = woundMotor(known, virtual.leads);
  if (!motor) throw new Error(family);
  const fitted = fitMotor(motor, ratingOf(motor, plate, made.supply.volts));
  const { runCapacitor } = plate;
  const planned = planWiring({
    motor,
    fitted,
    compartment: made,
    runCapacitor: runCapacitor
      ? { microfarads: runCapacitor.microfarads, volts: runCapacitor.volts ?? 370, known: true }
      : null,
    speeds: {},
    reversed: false,
  });
  if (!planned.ok) throw new Error(`${made.id} ${family}: ${planned.faults[0]?.says}`);
  return { run: { motor, fitted }, plans: planned.plans };
}

describe("no false stop", () => {
  it("every plan of the library, for random motors of every kind it is meant for, is clean", () => {
    fc.assert(
      fc.property(fc.constantFrom(...SETUPS), fc.integer({ min: 1, max: 1e6 }), (setup, seed) => {
        const { run, plans } = good(setup, seed);
        for (const plan of plans) expect(codes(checkPlan(plan, run))).toEqual([]);
      }),
      { numRuns: 120, seed: 5 },
    );
  });
});

/** What the check may rightly say of each wrong move: at least one of these. */
const RIGHT_CONSEQUENCE: Readonly<Record<WrongKind, readonly CheckCode[]>> = {
  "two-leads-changed-over": [
    "hums",
    "reversed",
    "wrong-speed",
    "crawls",
    "winding-overload",
    "short-through-motor",
    "nothing-runs",
    "start-overload",
    "weak-start",
    "capacitor-not-in-line",
    "runs-uncalled",
    "tied-taps",
    "start-stays-in",
    "winding-over-volts",
    "places",
  ],
  "lead-left-off": [
    "hums",
    "nothing-runs",
    "winding-overload",
    "wrong-speed",
    "crawls",
    "weak-start",
    "capacitor-not-in-line",
    "start-stays-in",
  ],
  "lead-on-hot": [
    "hums",
    "reversed",
    "wrong-speed",
    "crawls",
    "winding-overload",
    "short-through-motor",
    "nothing-runs",
    "start-overload",
    "weak-start",
    "tied-taps",
    "capacitor-not-in-line",
    "places",
    "start-stays-in",
    "winding-over-volts",
  ],
  "lead-on-return": [
    "hums",
    "reversed",
    "wrong-speed",
    "crawls",
    "winding-overload",
    "short-through-motor",
    "nothing-runs",
    "start-overload",
    "weak-start",
    "capacitor-not-in-line",
    "places",
    "start-stays-in",
    "winding-over-volts",
  ],
  "lead-on-ground": ["lead-on-ground"],
  "two-taps-tied": ["tied-taps"],
  "capacitor-dropped": ["hums", "capacitor-not-in-line", "crawls", "wrong-speed", "winding-overload"],
  "capacitor-too-small": [
    "capacitor-value",
    "wrong-speed",
    "crawls",
    "hums",
    "winding-overload",
    "capacitor-not-in-line",
  ],
  "wrong-volts": ["setting"],
  "neutral-switched": ["live-when-off"],
  "frame-off": ["frame-not-grounded"],
  "served-wire-off": ["serves-cut"],
  "relay-coil-off": ["start-stays-in"],
};

/** A move after which nothing differs in any winding in any state is none: two ends of one conductor, two lines of one winding. */
function harmless(before: WiringCheck, after: WiringCheck): boolean {
  const near = (a: number, b: number) => Math.abs(a - b) <= 2e-3 * Math.max(0.02, Math.abs(a));
  return before.outcomes.every((one, i) => {
    const other = after.outcomes[i];
    if (!one.point || !other?.point || one.point.outcome !== other.point.outcome) return false;
    return (
      near(one.point.rpm, other.point.rpm) &&
      one.coils.every(
        (coil, c) =>
          near(coil.amps, other.coils[c]?.amps ?? -1) && near(coil.volts, other.coils[c]?.volts ?? -1),
      )
    );
  });
}

describe("mutations of good plans", () => {
  it.each([11, 12])(
    "at least 99 of 100 wrong moves are caught, with the right consequence (seed %d)",
    (seed) => {
      const missed: string[] = [];
      let wrongs = 0;
      for (const setup of SETUPS) {
        const { run, plans } = good(setup, seed * 31 + setup.leads);
        for (const plan of plans) {
          const before = checkPlan(plan, run);
          const known = new Set(
            before.findings.filter(({ weight }) => weight !== "good").map(({ code }) => code),
          );
          for (const { kind, says, plan: wrong } of wrongWirings(plan, run.motor, (lead) => lead)) {
            const after = checkPlan(wrong, run);
            const said = after.findings.filter(
              ({ weight, code }) => weight === "stop" || (weight === "again" && !known.has(code)),
            );
            const right = said.some(({ code }) => RIGHT_CONSEQUENCE[kind].includes(code));
            if (!right && said.length === 0 && harmless(before, after)) continue;
            wrongs += 1;
            if (!right)
              missed.push(
                `${setup.made.id} ${setup.family} ${kind}: ${says} → ${said.map(({ code }) => code)}`,
              );
          }
        }
      }
      expect(wrongs).toBeGreaterThan(1000);
      expect(missed.length / wrongs, missed.join("\n")).toBeLessThan(0.01);
    },
    120_000,
  );
});
