import { describe, expect, it } from "vitest";
import {
  capacitorStart230,
  dualVoltage,
  fan3,
  fan4,
  fanTwoPower,
  plansFor,
  splitPhase,
  submersible,
  type TestMotor,
  testMotor,
} from "../../../../tests/material/motors";
import { builtMotor } from "../../bench/builtMotor";
import { withGearStated } from "../../bench/gearStated";
import { seededRandom } from "../../bench/random";
import { fitMotor } from "../../machine/fitMotor";
import { ratingOf } from "../../machine/rating";
import { type WoundMotor, woundMotor } from "../../machine/woundMotor";
import type { Plate } from "../../motor/plate/plate";
import type { Compartment, Part } from "../compartment";
import { COMPARTMENTS, compartmentById } from "../equipment";
import { type MotorPlan, type Turn, withChanges } from "../plan";
import { planWiring } from "../planWiring";
import { settingByOhms } from "../settingByOhms";
import { planSteps } from "../steps";
import { checkPlan } from "./check";

/** No plan stands on a guess: one rule of the trade a test. */

const at = (id: string): Compartment => {
  const made = compartmentById(id);
  if (!made) throw new Error(id);
  return made;
};
const on = (id: string, supply: Partial<Compartment["supply"]>): Compartment => ({
  ...at(id),
  supply: { ...at(id).supply, ...supply },
});
const first = (
  motor: Omit<TestMotor, "leads">,
  made: Compartment,
  more: Parameters<typeof plansFor>[2] = {},
): MotorPlan => {
  const [plan] = plansFor(motor, made, more);
  if (!plan) throw new Error("no plan");
  return plan;
};
const stops = (plan: MotorPlan, run: Parameters<typeof checkPlan>[1]) =>
  checkPlan(plan, run).findings.filter(({ weight }) => weight === "stop");
const codes = (plan: MotorPlan, run: Parameters<typeof checkPlan>[1]) =>
  stops(plan, run).map(({ code }) => code);
const withPart = (plan: MotorPlan, change: (part: Part) => Part): MotorPlan => ({
  ...plan,
  compartment: {
    ...plan.compartment,
    devices: plan.compartment.devices.map((device) => ({ ...device, parts: device.parts.map(change) })),
  },
});
const refitted = (
  motor: WoundMotor,
  plate: Plate,
  made: Compartment,
  setAt: "low" | "high" | null = null,
) => ({
  motor,
  plate,
  fitted: fitMotor(motor, ratingOf(motor, plate, made.supply.volts, made.supply.hertz, setAt)),
});

describe("unmarked coils are not joined in the order of the sheet", () => {
  it.each([
    ["dual-voltage-single-phase", 6, "pump-pressure-switch", 230],
    ["three-phase-6", 6, "three-phase-contactor", 460],
    ["three-phase-9-wye", 9, "three-phase-contactor", 460],
    ["three-phase-9-delta", 9, "three-phase-contactor", 460],
    ["three-phase-12", 12, "three-phase-contactor", 460],
  ] as const)("%s: a stop without numbers, none with them", (family, leads, id, volts) => {
    const { known, leads: marked, motor, plate } = builtMotor(seededRandom(77), family, leads, volts);
    const bare = woundMotor(
      known,
      marked.map(({ id: lead }) => ({ id: lead })),
    );
    if (!bare) throw new Error(family);
    const unmarked = refitted(bare, plate, at(id));
    expect(codes(first(unmarked, at(id)), unmarked)).toEqual(["ends-unproved"]);
    const [assumption] = checkPlan(first(unmarked, at(id)), unmarked).assumes;
    expect(assumption?.fact).toContain("battery");
    const proved = refitted(motor, plate, at(id));
    expect(stops(first(proved, at(id)), proved)).toEqual([]);
  });

  it("ends that only turn it the other way are left to the bump", () => {
    const { known, leads, plate } = builtMotor(seededRandom(5), "split-windings", 4, 115);
    const bare = woundMotor(
      known,
      leads.map(({ id }) => ({ id })),
    );
    if (!bare) throw new Error("split");
    const unmarked = refitted(bare, plate, at("bench-cord"));
    const check = checkPlan(first(unmarked, at("bench-cord")), unmarked);
    expect(check.weight).not.toBe("stop");
    expect(check.findings.find(({ code }) => code === "ends-unproved")?.weight).toBe("again");
  });

  it("a star that was not read is not joined", () => {
    const { known, leads, plate } = builtMotor(seededRandom(8), "three-phase-9-wye", 9, 460);
    const unread = { ...known, sections: known.sections.filter(({ winding }) => winding !== "star") };
    const motor = woundMotor(unread, leads);
    if (!motor) throw new Error("nine");
    const run = refitted(motor, plate, at("three-phase-contactor"));
    expect(codes(first(run, at("three-phase-contactor")), run)).toEqual(["winding-not-read"]);
  });
});

describe("a motor of two voltages that is set inside", () => {
  const plate: Plate = {
    ...splitPhase.plate,
    volts: [
      { low: 115, high: 115 },
      { low: 230, high: 230 },
    ],
    fullLoadAmps: [6.2, 3.1],
  };

  it("unknown is a stop, with how to see or prove it", () => {
    const run = refitted(splitPhase.motor, plate, at("bench-cord"));
    const check = checkPlan(first(run, at("bench-cord")), run);
    expect(check.weight).toBe("stop");
    expect(check.findings[0]).toMatchObject({ code: "setting-unknown" });
    expect(check.findings[0]?.mend).toMatch(/four times/);
  });

  it("set for 115 on 230 is a stop with the amps; set for 230 on 115 is mended by its dial, not by another motor", () => {
    const made = at("pump-pressure-switch");
    const low = refitted(splitPhase.motor, plate, made, "low");
    const burns = stops(first(low, made), low).find(({ code }) => code === "setting");
    expect(burns?.says).toMatch(/12(\.4)? A and more where 6\.2/);
    expect(burns?.mend).toContain("dial");
    const slow = at("bench-cord");
    const high = refitted(splitPhase.motor, plate, slow, "high");
    expect(stops(first(high, slow), high).find(({ code }) => code === "setting")?.mend).toMatch(
      /dial.*115 V.*no other motor/,
    );
    const right = refitted(splitPhase.motor, plate, slow, "low");
    expect(codes(first(right, slow), right)).toEqual([]);
  });

  it("one reading before the dial is turned and one after prove it, four times apart", () => {
    expect(settingByOhms(0.7, 2.8)).toEqual({ before: "low", now: "high" });
    expect(settingByOhms(2.8, 0.7)).toEqual({ before: "high", now: "low" });
    expect(settingByOhms(2.8, 2.7)).toBeNull();
    expect(settingByOhms(0, 2.8)).toBeNull();
  });

  it("a motor for 230 volts alone on 208: said, not stopped; at either end of a plate’s own range nothing is", () => {
    const made = on("air-handler-relay", { volts: 208 });
    const alone = refitted(fan3.motor, { ...fan3.plate, volts: [{ low: 230, high: 230 }] }, made);
    expect(checkPlan(first(alone, made), alone).findings.find(({ code }) => code === "setting")?.weight).toBe(
      "again",
    );
    for (const volts of [208, 230]) {
      const ends = on("air-handler-relay", { volts });
      const run = refitted(fan3.motor, fan3.plate, ends);
      expect(
        checkPlan(first(run, ends), run).findings.filter(
          ({ code, weight }) => code === "setting" || weight === "stop",
        ),
      ).toEqual([]);
    }
  });

  it("volts that no plate names are a stop", () => {
    const { volts: _, ...rest } = fan3.plate;
    const run = refitted(fan3.motor, rest, at("air-handler-relay"));
    expect(codes(first(run, at("air-handler-relay")), run)).toContain("volts-unknown");
  });
});

describe("start gear as it stands", () => {
  const made = at("start-capacitor-relay");
  const labelled = (change: (part: Part) => Part): Compartment =>
    withPart(first(capacitorStart230, made), change).compartment;

  it("what nobody stated is a step that says what it has to be, not a silent exchange", () => {
    const steps = planSteps(first(capacitorStart230, made), capacitorStart230.leads);
    const does = steps.filter(({ id }) => id.startsWith("part-")).map((step) => step.does);
    expect(does[0]).toMatch(/start capacitor: use 108–130 µF, 250 V or higher/);
    expect(does[1]).toMatch(/potential relay has to be one that picks up near \d+ V/);
  });

  it.each([
    [
      "another band",
      (p: Part): Part => (p.kind === "capacitor" ? { ...p, microfarads: 60, stated: "label" } : p),
    ],
    ["fewer volts", (p: Part): Part => (p.kind === "capacitor" ? { ...p, volts: 165, stated: "label" } : p)],
    [
      "a pick-up never reached",
      (p: Part): Part => (p.kind === "potential-relay" ? { ...p, pickUpVolts: 600, stated: "label" } : p),
    ],
    [
      "a pick-up reached at rest",
      (p: Part): Part =>
        p.kind === "potential-relay" ? { ...p, pickUpVolts: 60, dropOutVolts: 20, stated: "label" } : p,
    ],
    [
      "a coil for fewer volts",
      (p: Part): Part => (p.kind === "potential-relay" ? { ...p, coilVolts: 130, stated: "label" } : p),
    ],
  ])("%s is run as it is there, and is a stop", (_, change) => {
    const plan = first(capacitorStart230, labelled(change));
    expect(
      codes(plan, capacitorStart230).some((code) => ["start-gear", "start-stays-in"].includes(code)),
    ).toBe(true);
  });

  it("its wrong value is a step to replace it", () => {
    const plan = first(
      capacitorStart230,
      labelled((p) => (p.kind === "capacitor" ? { ...p, microfarads: 60, stated: "label" } : p)),
    );
    expect(plan.parts.find(({ change }) => change === "replace")?.does).toMatch(
      /^Replace the start capacitor \(60 µF/,
    );
  });

  it("start gear that this motor does not use burns nothing", () => {
    const plan = first(fan3, made);
    expect(stops(plan, fan3)).toEqual([]);
  });
});

describe("capacitor-start motors", () => {
  const both: Plate = {
    ...capacitorStart230.plate,
    startCapacitor: { lowMicrofarads: 108, highMicrofarads: 130, volts: 250 },
    runCapacitor: { microfarads: 20, volts: 370 },
  };

  it("the start capacitor on the motor has a place and a step; with a run capacitor both are placed", () => {
    const cord = at("pump-pressure-switch");
    const one = refitted(capacitorStart230.motor, capacitorStart230.plate, cord);
    expect(first(one, cord).parts.map(({ device }) => device)).toEqual(["motor-start"]);
    const two = refitted(capacitorStart230.motor, both, cord);
    const plan = first(two, cord);
    expect(plan.parts.map(({ does }) => does).join()).toMatch(/108–130 µF.*20 µF/);
    expect(stops(plan, two)).toEqual([]);
    const amps = checkPlan(plan, two)
      .outcomes.find(({ wanted }) => wanted)
      ?.capacitors.find(({ id }) => id.endsWith("run-capacitor"));
    expect(amps?.amps).toBeGreaterThan(0.1);
  });

  it("a start-only motor on its box is never given a run capacitor", () => {
    const plate: Plate = { ...submersible.plate, runCapacitor: undefined as never };
    const { runCapacitor: _, ...startOnly } = plate;
    const motor = testMotor(
      "two-winding",
      { bk: { role: "run-end" }, ye: { role: "speed", rank: 1 }, rd: { role: "start-end" } },
      [
        ["bk", "ye", 1.8, "main"],
        ["ye", "rd", 8, "start"],
      ],
      startOnly,
    );
    const plan = first(motor, at("submersible-box"));
    expect(plan.capacitors.map(({ change }) => change)).toEqual(["removed"]);
    expect(plan.landings.rd).toBe("box.start");
    expect(stops(withGearStated(plan), motor)).toEqual([]);
    const refused = planWiring({
      ...motor,
      compartment: at("bench-cord"),
      runCapacitor: null,
      speeds: {},
      reversed: false,
    });
    expect(refused.ok || refused.faults[0]?.code).toBe("no-start-gear");
  });
});

describe("capacitors nobody stated", () => {
  it("plate volts are kept as plate volts", () => {
    const [plan] = plansFor(fan3, at("condenser-single"), {
      runCapacitor: { microfarads: 5, volts: 250, known: true },
    });
    expect(plan?.capacitors[0]).toMatchObject({ change: "fit", volts: 250 });
  });

  it("an estimate beyond the rating is not good", () => {
    const plan = withPart(first(fan3, at("condenser-single")), (p) =>
      p.kind === "capacitor" ? { ...p, volts: 330 } : p,
    );
    const { fitted } = fan3;
    const run = { ...fan3, fitted: { ...fitted, rating: { ...fitted.rating, runVolts: 330 } } };
    const found = checkPlan(plan, run).findings.filter(({ code }) =>
      /^capacitor-(?:volts|no-margin|over-volts)$/.test(code),
    );
    expect(found.length).toBeGreaterThan(0);
    expect(found.every(({ weight }) => weight !== "good")).toBe(true);
  });
});

describe("power leads", () => {
  const plate: Plate = { ...fanTwoPower.plate, powerWatts: [186.4, 93.2], fullLoadAmps: [2.5, 1.3] };
  const run = refitted(fanTwoPower.motor, plate, at("condenser-dual"));

  it("are named as powers, each with its amps; the one that was matched is landed and the others are capped", () => {
    expect(run.fitted.rating.powers).toEqual([186.4, 93.2]);
    expect(run.fitted.rating.amps).toBe(2.5);
    expect(run.fitted.rating.ampsByTap).toEqual([2.5, 1.3]);
    const weak = first(run, at("condenser-dual"), { powerRank: 2 });
    expect(weak.landings).toMatchObject({ bu: "contactor.T1", bk: "capped" });
    expect(weak.reasons.bk).toMatch(/^The 1\/4 hp lead/);
    expect(stops(weak, run)).toEqual([]);
    expect(first(run, at("condenser-dual")).landings).toMatchObject({ bk: "contactor.T1", bu: "capped" });
  });
});

describe("which way it turns", () => {
  const plan = (turn: Turn, reversed = false) =>
    first(dualVoltage, at("pump-pressure-switch"), { turn, reversed });
  const needed = { needed: "cw-lead-end", neededBy: "the blade" } as const;

  it("a plan that turns the other way than is needed is a stop that names both ends and the one swap", () => {
    const wrong = stops(plan({ ...needed, asDrawn: "ccw-lead-end" }), dualVoltage);
    expect(wrong.map(({ code }) => code)).toEqual(["turns-wrong"]);
    expect(wrong[0]?.says).toMatch(/counter-clockwise from the lead end, clockwise from the shaft end/);
    expect(wrong[0]?.mend).toContain("start leads");
    expect(stops(plan({ ...needed, asDrawn: "ccw-lead-end" }, true), dualVoltage)).toEqual([]);
  });

  it("where nothing tells, the bump is a step", () => {
    const bare = plan({ needed: null, neededBy: "", asDrawn: null });
    expect(planSteps(bare, dualVoltage.leads).at(-1)).toMatchObject({ id: "bump" });
    expect(checkPlan(bare, dualVoltage).findings.find(({ code }) => code === "bump")?.mend).toContain(
      "start leads",
    );
  });
});

describe("calls that stand together", () => {
  const board = at("furnace-board");
  const blower = refitted(fan4.motor, { ...fan4.plate, volts: [{ low: 115, high: 115 }] }, board);

  it("two taps through two closed contacts are found, where the equipment’s contacts do not bar one another", () => {
    const { known, leads, plate } = builtMotor(seededRandom(31), "two-winding", 6, 115);
    const motor = woundMotor(known, leads);
    if (!motor) throw new Error("blower");
    const run = refitted(motor, plate, board);
    const open: Compartment = {
      ...board,
      devices: board.devices.map((device) => ({
        ...device,
        parts: device.parts.map((part) => (part.kind === "contact" ? { ...part, opensOn: [] } : part)),
      })),
    };
    const together = stops(first(run, open), run).filter(({ code }) => code === "tied-taps");
    expect(together.map(({ state }) => state)).toContain("cool+fan");
    expect(stops(first(run, board), run)).toEqual([]);
  });

  it("a call without a terminal of its own is said, and no stop", () => {
    const made = at("electronic-board");
    expect(stops(first(blower, made), blower)).toEqual([]);
  });
});

describe("hertz", () => {
  it("sixty on fifty and fifty on sixty: speed, amps and volts for each hertz in words, and no talk of another tap", () => {
    for (const [rated, supplied] of [
      [60, 50],
      [50, 60],
    ] as const) {
      const made = on("air-handler-relay", { hertz: supplied });
      const run = refitted(
        fan3.motor,
        { ...fan3.plate, hertz: [rated], rpm: rated === 60 ? 1075 : 900 },
        made,
      );
      const found = checkPlan(first(run, made), run).findings;
      const said = found.find(({ code }) => code === "hertz");
      expect(said?.says).toMatch(/rpm where its plate says .* times its amps; .* the volts for each hertz/);
      expect(found.map(({ mend }) => mend).join()).not.toMatch(/another tap/i);
      if (rated === 60) expect(said?.weight).toBe("stop");
    }
  });
});

describe("changes by hand", () => {
  it("the same plan by hand is judged as the plan is", () => {
    const plan = first(fan4, at("condenser-dual"));
    const same = withChanges(plan, { landings: { ye: "dual.C" }, added: [], gone: [] });
    expect(stops(same, fan4)).toEqual([]);
  });
});

describe("a motor that starts and runs by capacitors has both placed", () => {
  const both = (id: string) => {
    const made = at(id);
    const { motor, plate } = builtMotor(seededRandom(8), "split-windings", 4, made.supply.volts);
    const run = refitted(
      motor,
      {
        ...plate,
        runCapacitor: { microfarads: 20, volts: 440 },
        startCapacitor: { lowMicrofarads: 88, highMicrofarads: 108, volts: 250 },
      },
      made,
    );
    const planned = planWiring({
      motor,
      fitted: run.fitted,
      compartment: made,
      runCapacitor: { microfarads: 20, volts: 440, known: true },
      speeds: {},
      reversed: false,
    });
    if (!planned.ok) throw new Error(planned.faults[0]?.says);
    const [plan] = planned.plans;
    if (!plan) throw new Error("no plan");
    return { run, plan };
  };
  const runCapacitors = (plan: MotorPlan) =>
    plan.compartment.devices
      .flatMap((device) => device.parts)
      .filter((part) => part.kind === "capacitor" && !part.start);

  it("a relay and start capacitor alone: the run capacitor is added beside them, wire by wire", () => {
    const { run, plan } = both("start-capacitor-relay");
    expect(runCapacitors(plan)).toMatchObject([{ microfarads: 20, volts: 440 }]);
    expect(plan.capacitors).toMatchObject([{ change: "added", microfarads: 20 }]);
    const words = planSteps(plan, Object.keys(plan.landings)).map(({ id }) => id);
    expect(words).toEqual(expect.arrayContaining(plan.jumpers.map(({ id }) => expect.stringContaining(id))));
    expect(plan.jumpers).toHaveLength(2);
    expect(stops(withGearStated(plan), run)).toEqual([]);
  });

  it("a box with a run capacitor: it gets the plate's value", () => {
    const { run, plan } = both("submersible-box");
    expect(runCapacitors(plan)).toMatchObject([{ microfarads: 20, volts: 440 }]);
    expect(stops(withGearStated(plan), run)).toEqual([]);
  });

  it.each(["furnace-board", "condenser-dual", "bench-cord"])(
    "%s: with both on the motor itself, the equipment's capacitor is none of its",
    (id) => {
      const { run, plan } = both(id);
      expect(plan.parts.map(({ device }) => device)).toEqual(["motor-start", "motor-run"]);
      expect(codes(plan, run)).not.toContain("capacitor-value");
    },
  );
});

describe("a plate that names microfarads and no volts", () => {
  it("asks for a rating, and says that it is not the plate's", () => {
    const made = at("condenser-dual");
    const plate = { ...fan3.plate, runCapacitor: { microfarads: 5 } };
    const run = refitted(fan3.motor, plate, made);
    const planned = planWiring({
      motor: run.motor,
      fitted: run.fitted,
      compartment: made,
      runCapacitor: { microfarads: 5, volts: 440, known: true },
      speeds: {},
      reversed: false,
    });
    const [plan] = planned.ok ? planned.plans : [];
    if (!plan) throw new Error("no plan");
    const short = (of: typeof run) => checkPlan(plan, of).assumes.map((one) => one.short);
    expect(short(run)).toContain("the run capacitor’s volts");
    const stated = refitted(fan3.motor, { ...plate, runCapacitor: { microfarads: 5, volts: 440 } }, made);
    expect(short(stated)).not.toContain("the run capacitor’s volts");
  });
});

describe("what nobody stated is run with its other values", () => {
  const unstated = (made: Compartment): Compartment => {
    const { together: _, ...rest } = made;
    return rest;
  };
  const blower = (made: Compartment) => {
    const { motor, plate } = builtMotor(seededRandom(31), "two-winding", 6, made.supply.volts);
    return refitted(motor, plate, made);
  };
  const effects = (plan: MotorPlan, run: Parameters<typeof checkPlan>[1]) =>
    Object.fromEntries(checkPlan(plan, run).assumes.map(({ short, effect }) => [short, effect]));

  it("calls of which two would feed two taps are a stop until it is said which can meet", () => {
    const made = unstated(at("furnace-board-two-stage"));
    const open: Compartment = {
      ...made,
      devices: made.devices.map((device) => ({
        ...device,
        parts: device.parts.map((part) => (part.kind === "contact" ? { ...part, opensOn: [] } : part)),
      })),
    };
    const run = blower(open);
    expect(codes(first(run, open), run)).toContain("calls-unstated");
    const none = { ...open, together: [] };
    expect(codes(first(run, none), run)).toEqual([]);
  });

  it("calls of which no two do harm need no word", () => {
    const two: Compartment = {
      ...at("condenser-dual"),
      calls: [...at("condenser-dual").calls, { id: "defrost", name: "Defrost" }],
    };
    expect(effects(first(fan3, two), fan3)).toEqual({});
    // Contacts that bar one another leave no two taps fed, whoever calls.
    const board = unstated(at("furnace-board-two-stage"));
    const run = blower(board);
    expect(effects(first(run, board), run)).not.toHaveProperty("no two calls at once");
  });

  it("a relay that nobody stated is a stop; its label read, none", () => {
    const made = at("start-capacitor-relay");
    const plan = first(capacitorStart230, made);
    expect(codes(plan, capacitorStart230)).toEqual(["start-gear"]);
    expect(effects(plan, capacitorStart230)).toMatchObject({ "the relay’s pick-up": "stop" });
    expect(codes(withGearStated(plan), capacitorStart230)).toEqual([]);
  });

  it("a run capacitor fitted by an estimate is a stop, whatever running others shows", () => {
    const { runCapacitor: _, ...plate } = fan3.plate;
    const made = at("condenser-single");
    const run = refitted(fan3.motor, plate, made);
    const [plan] = plansFor({ ...run, plate }, made);
    if (!plan) throw new Error("no plan");
    expect(effects(plan, run)).toMatchObject({ "the run capacitor": "stop" });
  });

  it("hertz that no plate names changes figures alone where the motor bears the other", () => {
    const { hertz: _, ...plate } = fan3.plate;
    const run = refitted(fan3.motor, plate, at("air-handler-relay"));
    expect(effects(first(run, at("air-handler-relay")), run)).toEqual({ hertz: "figures" });
  });

  it("is stated by all equipment of the library that has several calls", () => {
    for (const { calls, together } of COMPARTMENTS) if (calls.length > 1) expect(together).toBeDefined();
  });
});
