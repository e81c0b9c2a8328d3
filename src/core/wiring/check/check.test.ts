import { describe, expect, it } from "vitest";
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
} from "../../../../tests/material/motors";
import { fitMotor } from "../../machine/fitMotor";
import { ratingOf } from "../../machine/rating";
import type { Compartment } from "../compartment";
import { DEVICE_LIBRARY } from "../deviceLibrary";
import { compartmentById } from "../equipment";
import { CAPPED } from "../place";
import { FRAME, type MotorPlan } from "../plan";
import { checkPlan, type WiringCheck } from "./check";

const at = (id: string): Compartment => {
  const made = compartmentById(id);
  if (!made) throw new Error(id);
  return made;
};
const first = (motor: TestMotor, id: string): MotorPlan => {
  const [plan] = plansFor(motor, at(id));
  if (!plan) throw new Error(id);
  return plan;
};
const codes = (check: WiringCheck, weight = "stop") =>
  check.findings.filter((found) => found.weight === weight).map(({ code }) => code);
const moved = (plan: MotorPlan, landings: Record<string, string>): MotorPlan => ({
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
    const supply = (plan: MotorPlan, volts: number): MotorPlan => ({
      ...plan,
      compartment: { ...plan.compartment, supply: { ...plan.compartment.supply, volts } },
    });
    expect(codes(checkPlan(supply(low, 230), dualVoltage))).toEqual(
      expect.arrayContaining(["setting", "winding-over-volts"]),
    );
    const weak = checkPlan(supply(high, 115), dualVoltage);
    expect(codes(weak)).toContain("setting");
    const [, run] = weak.outcomes;
    expect(run?.lineAmps).toBeGreaterThan(1.1 * dualVoltage.fitted.rating.amps);
    expect(run?.point?.rpm).toBeLessThan(0.96 * dualVoltage.fitted.rating.rpm);
    expect(
      codes(weak).some((code) => ["crawls", "hums", "wrong-speed", "winding-overload"].includes(code)),
    ).toBe(true);
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

  it.each(["compressor-start", "compressor-common", "compressor-run", "line-to-c"])(
    "the compressor’s wire %s taken off: it does not start, and that is found by running it",
    (id) => {
      const { wires } = dual.compartment;
      const off = {
        ...dual,
        compartment: { ...dual.compartment, wires: wires.filter((wire) => wire.id !== id) },
        removed: wires.filter((wire) => wire.id === id),
      };
      const found = checkPlan(off, fan3).findings.find(({ code }) => code === "serves-harmed");
      expect(found?.says).toContain("compressor");
      const again = { ...off, jumpers: off.removed.map(({ from, to }) => ({ id: "anew", from, to })) };
      expect(codes(checkPlan(again, fan3))).not.toContain("serves-harmed");
      expect(checkPlan(again, fan3).weight).not.toBe("stop");
    },
  );

  it.each([
    ["a jumper from T1 to S", [["contactor.T1", "compressor.S"]]],
    ["a jumper from T2 to S", [["contactor.T2", "compressor.S"]]],
    ["a jumper from HERM to FAN", [["dual.HERM", "dual.FAN"]]],
    ["a jumper from HERM to C", [["dual.HERM", "dual.C"]]],
  ] as const)("%s harms the compressor", (_, pairs) => {
    const jumped = { ...dual, jumpers: pairs.map(([from, to]) => ({ id: `${from}-${to}`, from, to })) };
    expect(checkPlan(jumped, fan3).findings.map(({ code }) => code)).toContain("serves-harmed");
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

describe("volts across the run capacitor", () => {
  it("are said beside its rating, once, for the state where they are most", () => {
    const plan = first(blower4, "furnace-board");
    const said = checkPlan(plan, blower4).findings.filter(({ code }) => code === "capacitor-volts");
    expect(said).toHaveLength(1);
    expect(said[0]?.says).toMatch(
      /about \d+ V across the capacitor by estimate \(± 20 %\), which is rated 370 V/,
    );
  });

  it("are no good news where the capacitor fails of them", () => {
    const plan = first(fan3, "condenser-dual");
    const weak = {
      ...plan,
      compartment: {
        ...plan.compartment,
        devices: plan.compartment.devices.map((device) => ({
          ...device,
          parts: device.parts.map((part) => (part.kind === "capacitor" ? { ...part, volts: 200 } : part)),
        })),
      },
    };
    const found = checkPlan(weak, fan3).findings.map(({ code }) => code);
    expect(found).toContain("capacitor-over-volts");
    expect(found).not.toContain("capacitor-volts");
  });
});

describe("what is there to stop the motor", () => {
  const board = first(blower4, "furnace-board");

  it("a good plan says that the door stops it, whatever calls", () => {
    const rests = checkPlan(board, blower4).findings.filter(({ says }) => says.includes("the door is open"));
    expect(rests.map(({ weight }) => weight)).toEqual(["good"]);
  });

  it("a hot taken before the door switch runs the blower with the door open", () => {
    const round = { id: "round", from: "L", to: "board.LINE" };
    const check = checkPlan({ ...board, jumpers: [...board.jumpers, round] }, blower4);
    expect(codes(check)).toEqual(["guard-defeated"]);
    expect(check.findings[0]?.says).toMatch(/the door is open: the motor is still fed, and starts with \d/);
  });

  it("a tap moved to the supply's own terminal is live always, the door no longer stops it", () => {
    expect(codes(checkPlan(moved(board, { bk: "L" }), blower4))).toEqual(
      expect.arrayContaining(["guard-defeated", "runs-uncalled"]),
    );
  });

  it("one heater led round on a starter: two lines stay broken, nothing runs, no stop is invented", () => {
    const starter = first(threePhase3, "three-phase-starter");
    const one = { id: "round", from: "L1", to: "starter.T1" };
    const check = checkPlan({ ...starter, jumpers: [one] }, threePhase3);
    expect(codes(check)).not.toContain("guard-defeated");
  });
});

describe("contacts beyond a call", () => {
  it("a fan relay's break contact is live at rest and dead when the fan calls", () => {
    const relay = first(fan3, "air-handler-relay");
    const onBreak = checkPlan(moved(relay, { bk: "relay.NC" }), fan3);
    expect(codes(onBreak)).toEqual(expect.arrayContaining(["runs-uncalled", "nothing-runs"]));
  });

  it("a plug for rotation crosses the start winding's ends when it is turned over", () => {
    const made = at("bench-cord");
    const plug = DEVICE_LIBRARY.find(({ id }) => id === "rotation-plug")?.make(made).device;
    if (!plug) throw new Error("no plug for rotation");
    const plan = first(splitPhase, "bench-cord");
    const ends = splitPhase.motor.leads.filter(({ slot }) => slot === "T5" || slot === "T8");
    const through = (position: string): MotorPlan => ({
      ...moved(plan, Object.fromEntries(ends.map(({ id }, i) => [id, `${plug.id}.${i + 1}`]))),
      compartment: {
        ...plan.compartment,
        devices: [
          ...plan.compartment.devices,
          { ...plug, dial: plug.dial && { ...plug.dial, at: position } },
        ],
      },
      jumpers: ends.map(({ id }, i) => ({
        id: `side-${id}`,
        from: plan.landings[id] ?? "",
        to: `${plug.id}.${i === 0 ? "A" : "B"}`,
      })),
    });
    expect(codes(checkPlan(through("straight"), splitPhase))).toEqual([]);
    expect(codes(checkPlan(through("crossed"), splitPhase))).toEqual(["reversed"]);
  });
});
