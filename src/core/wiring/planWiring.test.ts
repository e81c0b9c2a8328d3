import { describe, expect, it } from "vitest";
import {
  blower2,
  blower4,
  capacitorRun4,
  capacitorStart230,
  dualVoltage,
  fan3,
  fan4,
  fan5,
  fanTwoPower,
  plansFor,
  reversible,
  shaded3,
  splitPhase,
  submersible,
  type TestMotor,
  threePhase3,
  threePhase6,
  threePhase9Delta,
  threePhase9Wye,
  twoSpeed,
} from "../../../tests/material/motors";
import { withGearStated } from "../bench/gearStated";
import { fitMotor } from "../machine/fitMotor";
import { ratingOf } from "../machine/rating";
import { checkPlan } from "./check/check";
import type { Compartment } from "./compartment";
import { emptied } from "./emptied";
import { COMPARTMENTS, compartmentById } from "./equipment";
import { FRAME, type MotorPlan, NO_CHANGES, withChanges } from "./plan";
import { planWiring } from "./planWiring";
import { speedsOf } from "./speedsOf";
import { planSteps } from "./steps";

const at = (id: string): Compartment => {
  const made = compartmentById(id);
  if (!made) throw new Error(id);
  return made;
};

const on = (id: string, volts: number): Compartment => {
  const made = at(id);
  return { ...made, supply: { ...made.supply, volts } };
};

/** The equipment with every capacitor's label read as it stands. */
function stating(made: Compartment): Compartment {
  return {
    ...made,
    devices: made.devices.map((device) => ({
      ...device,
      parts: device.parts.map((part) =>
        part.kind === "capacitor" ? { ...part, stated: "label" as const } : part,
      ),
    })),
  };
}

/** Landings without the frame, then jumpers as "from>to". */
function table({ landings, jumpers }: MotorPlan): Record<string, string> {
  const { [FRAME]: _, ...leads } = landings;
  return { ...leads, ...Object.fromEntries(jumpers.map(({ from, to }) => [`${from}>`, to])) };
}

interface Case {
  readonly title: string;
  readonly motor: TestMotor;
  readonly made: Compartment;
  readonly school?: MotorPlan["id"];
  readonly expected: Record<string, string>;
}

const CASES: readonly Case[] = [
  {
    title: "3 leads → 3 leads on the one dual",
    motor: fan3,
    made: at("condenser-dual"),
    school: "keep-one-dual",
    expected: { bn: "dual.FAN", ye: "contactor.T2", bk: "contactor.T1" },
  },
  {
    title: "3 → 4 with one dual: brown to FAN, the duplicate capped",
    motor: fan4,
    made: at("condenser-dual"),
    school: "keep-one-dual",
    expected: { bn: "dual.FAN", ye: "contactor.T2", bk: "contactor.T1", "bn/wh": "capped" },
  },
  {
    title: "3 → 4 with a capacitor of its own: both browns on it, FAN empty",
    motor: fan4,
    made: at("condenser-dual"),
    school: "own-capacitor",
    expected: { bn: "own.2", "bn/wh": "own.1", ye: "contactor.T2", bk: "contactor.T1" },
  },
  {
    title: "4 → 3 with a capacitor of its own: a jumper does what the duplicate did",
    motor: fan3,
    made: at("condenser-dual"),
    school: "own-capacitor",
    expected: { bn: "own.2", ye: "contactor.T2", bk: "contactor.T1", "contactor.T2>": "own.1" },
  },
  {
    title: "4 → 4 on an old single: both capacitor leads on it",
    motor: fan4,
    made: at("condenser-single"),
    school: "on-the-capacitor",
    expected: { bn: "capacitor.2", "bn/wh": "capacitor.1", ye: "contactor.T2", bk: "contactor.T1" },
  },
  {
    title: "4 → 3 on an old single: its line wire stays",
    motor: fan3,
    made: at("condenser-single"),
    school: "line-wire-stays",
    expected: { bn: "capacitor.2", ye: "contactor.T2", bk: "contactor.T1" },
  },
  {
    title: "universal with a copy of each capacitor lead → the one dual",
    motor: fan5,
    made: at("condenser-dual"),
    school: "keep-one-dual",
    expected: {
      bn: "dual.FAN",
      "bn/ye": "capped",
      "bn/wh": "capped",
      ye: "contactor.T2",
      bk: "contactor.T1",
    },
  },
  {
    title: "universal with two power leads → the stronger, the other capped",
    motor: fanTwoPower,
    made: at("condenser-dual"),
    school: "own-capacitor",
    expected: { bn: "own.2", "bn/wh": "own.1", ye: "contactor.T2", bk: "contactor.T1", bu: "capped" },
  },
  {
    title: "four-speed blower on a one-stage board: the fourth parked",
    motor: blower4,
    made: at("furnace-board"),
    expected: {
      bn: "capacitor.2",
      "bn/wh": "capacitor.1",
      wh: "board.NEUTRAL",
      bk: "board.COOL",
      ye: "board.HEAT",
      rd: "board.FAN",
      bu: "board.PARK1",
    },
  },
  {
    title: "four-speed blower on a two-stage board: a tap for each call",
    motor: blower4,
    made: at("furnace-board-two-stage"),
    expected: {
      bn: "capacitor.2",
      "bn/wh": "capacitor.1",
      wh: "board.NEUTRAL",
      bk: "board.COOL-HIGH",
      bu: "board.COOL-LOW",
      ye: "board.HEAT-HIGH",
      rd: "board.HEAT-LOW",
    },
  },
  {
    title: "two-speed blower on a one-stage board: heating and fan share a tap by the board's relays",
    motor: blower2,
    made: at("furnace-board"),
    expected: {
      bn: "capacitor.2",
      wh: "board.NEUTRAL",
      "board.NEUTRAL>": "capacitor.1",
      bk: "board.COOL",
      rd: "board.HEAT",
      "board.HEAT>": "board.FAN",
    },
  },
  {
    title: "three-speed shaded-pole fan on a board: no capacitor",
    motor: shaded3,
    made: at("furnace-board"),
    expected: { wh: "board.NEUTRAL", bk: "board.COOL", bu: "board.HEAT", rd: "board.FAN" },
  },
  {
    title: "blower on a plain switch and cord",
    motor: blower4,
    made: at("bench-cord"),
    expected: {
      bn: "capacitor.2",
      "bn/wh": "capacitor.1",
      wh: "switch.N",
      bk: "switch.LOAD",
      bu: "capped",
      ye: "capped",
      rd: "capped",
    },
  },
  {
    title: "fan coil on a relay, two lines",
    motor: fan3,
    made: at("air-handler-relay"),
    expected: { bn: "capacitor.2", ye: "relay.L2", "relay.L2>": "capacitor.1", bk: "relay.NO" },
  },
  {
    title: "split-phase motor on a plain switch: T1 and T8 on the line, T4 and T5 on the neutral",
    motor: splitPhase,
    made: at("centrifugal-switch"),
    expected: { bu: "switch.LOAD", rd: "switch.LOAD", ye: "switch.N", bk: "switch.N" },
  },
  {
    title:
      "main and start apart with a run capacitor alone: the start winding through it, from the switched line",
    motor: capacitorRun4,
    made: at("air-handler-relay"),
    expected: {
      rd: "capacitor.2",
      bk: "relay.L2",
      ye: "relay.L2",
      bu: "relay.NO",
      "relay.NO>": "capacitor.1",
    },
  },
  {
    title: "the same on a dual: a capacitor of its own, since C hangs on the return",
    motor: capacitorRun4,
    made: at("condenser-dual"),
    expected: {
      rd: "own.2",
      bk: "contactor.T2",
      ye: "contactor.T2",
      bu: "contactor.T1",
      "contactor.T1>": "own.1",
    },
  },
  {
    title: "the same on an old single: its line wire comes off the return",
    motor: capacitorRun4,
    made: at("condenser-single"),
    expected: {
      rd: "capacitor.2",
      bk: "contactor.T2",
      ye: "contactor.T2",
      bu: "contactor.T1",
      "contactor.T1>": "capacitor.1",
    },
  },
  {
    title: "dual voltage, high: line 1 on T1, T2 T3 T8 together, line 2 on T4 and T5",
    motor: dualVoltage,
    made: at("pump-pressure-switch"),
    expected: {
      t1: "pressure.T1",
      t2: "joint-1",
      t3: "joint-1",
      t8: "joint-1",
      t4: "pressure.T2",
      t5: "pressure.T2",
    },
  },
  {
    title: "dual voltage, low: line 1 on T1 T3 T8, the return on T2 T4 T5",
    motor: dualVoltage,
    made: at("centrifugal-switch"),
    expected: {
      t1: "switch.LOAD",
      t3: "switch.LOAD",
      t8: "switch.LOAD",
      t2: "switch.N",
      t4: "switch.N",
      t5: "switch.N",
    },
  },
  {
    title: "capacitor start with potential relay: the start winding through 2",
    motor: capacitorStart230,
    made: at("start-capacitor-relay"),
    expected: { rd: "relay.2", ye: "contactor.T2", bk: "contactor.T2", bu: "contactor.T1" },
  },
  {
    title: "three-wire submersible: black on main, red on start, yellow on shared",
    motor: submersible,
    made: at("submersible-box"),
    expected: { bk: "box.main", rd: "box.start", ye: "box.shared" },
  },
  {
    title: "pole-changing on a two-speed switch",
    motor: twoSpeed,
    made: at("two-speed-switch"),
    expected: { bk: "switch.START", ye: "switch.N", wh: "switch.N", bu: "switch.FAST", vt: "switch.SLOW" },
  },
  {
    title: "reversible on a two-way switch: an end on each side, the capacitor across",
    motor: reversible,
    made: at("reversing-switch"),
    expected: {
      wh: "switch.N",
      bk: "switch.OPEN",
      rd: "capacitor.2",
      "capacitor.2>": "switch.CLOSE",
      "switch.OPEN>": "capacitor.1",
    },
  },
  {
    title: "three-phase, three leads, on a contactor",
    motor: threePhase3,
    made: at("three-phase-contactor"),
    expected: { t1: "contactor.T1", t2: "contactor.T2", t3: "contactor.T3" },
  },
  {
    title: "nine-lead wye, high: T4 with T7, T5 with T8, T6 with T9",
    motor: threePhase9Wye,
    made: at("three-phase-starter"),
    expected: {
      t1: "starter.T1",
      t2: "starter.T2",
      t3: "starter.T3",
      t4: "joint-1",
      t7: "joint-1",
      t5: "joint-2",
      t8: "joint-2",
      t6: "joint-3",
      t9: "joint-3",
    },
  },
  {
    title: "nine-lead wye, low: T1 T7, T2 T8, T3 T9 to the lines, T4 T5 T6 together",
    motor: threePhase9Wye,
    made: on("three-phase-contactor", 230),
    expected: {
      t1: "contactor.T1",
      t7: "contactor.T1",
      t2: "contactor.T2",
      t8: "contactor.T2",
      t3: "contactor.T3",
      t9: "contactor.T3",
      t4: "joint-1",
      t5: "joint-1",
      t6: "joint-1",
    },
  },
  {
    title: "nine-lead delta, low: three on each line, by a joint each since the terminal takes two",
    motor: threePhase9Delta,
    made: on("three-phase-contactor", 230),
    expected: {
      t2: "joint-1",
      t4: "joint-1",
      t8: "joint-1",
      t3: "joint-2",
      t5: "joint-2",
      t9: "joint-2",
      t1: "joint-3",
      t6: "joint-3",
      t7: "joint-3",
      "joint-1>": "contactor.T2",
      "joint-2>": "contactor.T3",
      "joint-3>": "contactor.T1",
    },
  },
  {
    title: "six leads, high: wye",
    motor: threePhase6,
    made: at("three-phase-contactor"),
    expected: {
      t1: "contactor.T1",
      t2: "contactor.T2",
      t3: "contactor.T3",
      t4: "joint-1",
      t5: "joint-1",
      t6: "joint-1",
    },
  },
];

describe.each(CASES)("$title", ({ motor, made, school, expected }) => {
  const plans = plansFor(motor, made);
  const plan = school ? plans.find(({ id }) => id === school) : plans[0];

  it("lands as the trade does", () => {
    expect(plan && table(plan)).toEqual(expected);
    expect(plan?.landings[FRAME]).toBe("G");
  });

  it("is clean under the check, and runs on every call", () => {
    const check = plan && checkPlan(withGearStated(plan), motor);
    expect(check?.findings.filter(({ weight }) => weight === "stop")).toEqual([]);
    const calls = made.calls.length;
    expect(check?.findings.filter(({ code }) => code === "runs-right")).toHaveLength(calls);
  });
});

describe("what a plan leaves and changes", () => {
  it("an own capacitor leaves FAN empty, and the old terminal is named as emptied", () => {
    const [keep, own] = plansFor(fan4, at("condenser-dual"));
    expect(own?.capacitors.map(({ device, change }) => [device, change])).toEqual([
      ["own", "added"],
      ["dual", "left-empty"],
    ]);
    const old = ["dual.FAN", "contactor.T1", "contactor.T2"];
    expect(own && emptied(own, [...old, "dual.C"])).toEqual(["FAN, dual capacitor"]);
    expect(keep && emptied(keep, old)).toEqual([]);
  });

  it("a dual whose label says another fan value is replaced, its volts never lowered; the right one is kept", () => {
    const seven = { runCapacitor: { microfarads: 7.5, volts: 370, known: true } };
    const labelled = stating(at("condenser-dual"));
    expect(plansFor(fan3, labelled, seven)[0]?.capacitors).toEqual([
      { device: "dual", change: "replaced", microfarads: 7.5, volts: 440, known: true },
    ]);
    expect(plansFor(fan3, labelled)[0]?.capacitors[0]?.change).toBe("kept");
  });

  it("a capacitor whose label nobody read never stays: the step says what it has to be", () => {
    const [plan] = plansFor(fan3, at("condenser-dual"), {
      runCapacitor: { microfarads: 7.5, volts: 250, known: true },
    });
    expect(plan?.capacitors).toEqual([
      { device: "dual", change: "fit", microfarads: 7.5, volts: 250, known: true },
    ]);
    const step = plan && planSteps(plan, fan3.leads).find(({ id }) => id === "capacitor-dual");
    expect(step?.does).toBe(
      "The dual capacitor: use 7.5 µF, 250 V or higher on its FAN side. Read its label; change it where it says otherwise.",
    );
  });

  it("a speed that a person chose goes to its call; one the motor does not have is refused", () => {
    const plan = plansFor(blower4, at("furnace-board"), { speeds: { cool: 2, heat: 1, fan: 4 } })[0];
    expect(plan && table(plan)).toMatchObject({ bu: "board.COOL", bk: "board.HEAT", ye: "board.PARK1" });
    const refused = planWiring({
      ...blower4,
      compartment: at("furnace-board"),
      runCapacitor: { microfarads: 20, volts: 370, known: true },
      speeds: { cool: 7 },
      reversed: false,
    });
    expect(refused).toMatchObject({
      ok: false,
      faults: [{ code: "no-such-speed", path: ["speeds", "cool"] }],
    });
  });

  it("without a plated capacitor the landings stand, the value is nobody's, and the check asks for it", () => {
    const { plate, motor } = fan3;
    const bare = { ...plate, runCapacitor: undefined };
    const fitted = fitMotor(motor, ratingOf(motor, { volts: bare.volts ?? [], rpm: 1075 }, 230));
    const planned = planWiring({
      motor,
      fitted,
      compartment: at("condenser-dual"),
      runCapacitor: null,
      speeds: {},
      reversed: false,
    });
    const plan = planned.ok ? planned.plans[0] : undefined;
    expect(plan?.capacitors[0]?.known).toBe(false);
    const check = plan && checkPlan(plan, { motor, fitted });
    expect(check?.weight).toBe("stop");
    expect(check?.findings.find(({ code }) => code === "capacitor-unknown")?.says).toMatch(
      /estimate of .* to .* µF/,
    );
  });

  it("a changed rotation makes the one swap of the family, and only that", () => {
    const forward = plansFor(dualVoltage, at("pump-pressure-switch"))[0];
    const back = plansFor(dualVoltage, at("pump-pressure-switch"), { reversed: true })[0];
    const changed = Object.keys(forward?.landings ?? {}).filter(
      (lead) => forward?.landings[lead] !== back?.landings[lead],
    );
    expect(changed.sort()).toEqual(["t5", "t8"]);
    const swapped = plansFor(threePhase3, at("three-phase-contactor"), { reversed: true })[0];
    expect(swapped && table(swapped)).toEqual({ t1: "contactor.T2", t2: "contactor.T1", t3: "contactor.T3" });
  });

  it("a motor that cannot be turned round by its leads says so", () => {
    const refused = planWiring({
      ...fan3,
      compartment: at("condenser-dual"),
      runCapacitor: { microfarads: 5, volts: 370, known: true },
      speeds: {},
      reversed: true,
    });
    expect(refused.ok || refused.faults[0]?.says).toMatch(/cannot be turned round.*plug/);
  });

  it("a single-phase fan takes two poles of a three-pole contactor", () => {
    const made = at("three-phase-contactor");
    const on230 = { ...made, supply: { ...made.supply, volts: 230 } };
    const [plan] = plansFor(fan3, on230);
    expect(plan && table(plan)).toEqual({
      bn: "own.2",
      ye: "contactor.T2",
      "contactor.T2>": "own.1",
      bk: "contactor.T1",
    });
    expect(plan && checkPlan(plan, fan3).weight).not.toBe("stop");
  });

  it("three-phase on two lines is refused in words", () => {
    const refuse = (motor: TestMotor, made: Compartment, runCapacitor: null) =>
      planWiring({ ...motor, compartment: made, runCapacitor, speeds: {}, reversed: false });
    expect(refuse(threePhase3, at("condenser-dual"), null)).toMatchObject({
      ok: false,
      faults: [{ code: "three-phase-motor" }],
    });
  });

  it("hand changes move leads and wires and leave the plan's own value as it was", () => {
    const [plan] = plansFor(fan4, at("condenser-dual"));
    if (!plan) throw new Error("no plan");
    expect(withChanges(plan, NO_CHANGES)).toBe(plan);
    const changed = withChanges(plan, {
      landings: { "bn/wh": "dual.C", stranger: "dual.C" },
      added: [{ id: "j", from: "contactor.T1", to: "dual.FAN" }],
      gone: ["line-to-c"],
    });
    expect(changed.landings["bn/wh"]).toBe("dual.C");
    expect(changed.reasons["bn/wh"]).toBe("Moved by hand; planned: capped on its own.");
    expect(changed.landings).not.toHaveProperty("stranger");
    expect(changed.compartment.wires.map(({ id }) => id)).not.toContain("line-to-c");
    expect(changed.removed.map(({ id }) => id)).toEqual(["line-to-c"]);
    expect(plan.landings["bn/wh"]).toBe("capped");
  });
});

describe("speeds", () => {
  it("are counted by the leads that give them", () => {
    expect(
      [fan3, blower2, blower4, shaded3, twoSpeed, threePhase9Wye].map(({ motor }) => speedsOf(motor)),
    ).toEqual([1, 2, 4, 3, 2, 1]);
  });
});

describe("the library", () => {
  it("has a name, a supply and a ground for each, and no two alike", () => {
    expect(COMPARTMENTS.length).toBeGreaterThanOrEqual(12);
    expect(new Set(COMPARTMENTS.map(({ id }) => id)).size).toBe(COMPARTMENTS.length);
  });
});
