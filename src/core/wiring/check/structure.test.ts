import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { blower4, fan3, plansFor, reversible, type TestMotor } from "../../../../tests/material/motors";
import { isTap } from "../../motor/slot";
import { WIRING_EQUIPMENT, wiringTask } from "../../practice/wiringTask";
import { compartmentById } from "../equipment";
import { CAPPED } from "../place";
import { FRAME, type MotorPlan, NO_CHANGES, withChanges } from "../plan";
import { structureFindings } from "./structure";

function planOn(motor: TestMotor, id: string): MotorPlan {
  const made = compartmentById(id);
  const [plan] = made ? plansFor(motor, made) : [];
  if (!plan) throw new Error(id);
  return plan;
}

const codes = (plan: MotorPlan, run: TestMotor) => structureFindings(plan, run).map(({ code }) => code);
const moved = (plan: MotorPlan, landings: Record<string, string>) =>
  withChanges(plan, { ...NO_CHANGES, landings });

describe("wires as they lie", () => {
  it.each(WIRING_EQUIPMENT)("a good plan on %s has nothing to say", (equipment) => {
    for (const seed of [5, 23]) {
      const { good, run } = wiringTask(seed, { task: "wire-it", equipment });
      expect(structureFindings(good, run).filter(({ weight }) => weight === "stop")).toEqual([]);
    }
  });

  const plan = planOn(blower4, "furnace-board");
  const taps = blower4.motor.leads.filter(({ slot }) => isTap(slot)).map(({ id }) => id);
  const landedTaps = taps.filter((lead) => plan.landings[lead] !== CAPPED);

  it("two taps on one terminal burn the section between them: both are named", () => {
    const [one = "", other = ""] = taps;
    const tied = moved(plan, {
      [one]: plan.landings[landedTaps[0] ?? ""] ?? "",
      [other]: plan.landings[landedTaps[0] ?? ""] ?? "",
    });
    const found = structureFindings(tied, blower4).find(({ code }) => code === "tied-taps");
    expect(found).toMatchObject({ weight: "stop" });
    expect(found?.leads).toEqual(expect.arrayContaining([one, other]));
  });

  it("two taps capped are never tied: each has a cap of its own", () => {
    expect(codes(moved(plan, Object.fromEntries(taps.map((lead) => [lead, CAPPED]))), blower4)).not.toContain(
      "tied-taps",
    );
  });

  it("a tap on a call that another speed was chosen for", () => {
    const [one = "", other = ""] = landedTaps;
    const exchanged = moved(plan, { [one]: plan.landings[other] ?? "", [other]: plan.landings[one] ?? "" });
    const wrong = structureFindings(exchanged, blower4).filter(({ code }) => code === "wrong-speed");
    expect(wrong.length).toBeGreaterThan(0);
    for (const { says, state } of wrong) {
      expect(says).toMatch(/^.+: it feeds speed \d.* where speed \d was chosen\.$/);
      expect(plan.wanted.map(({ call }) => call)).toContain(state);
    }
  });

  it("a winding whose two ends are on one wire gets no volts", () => {
    const straight = planOn(reversible, "reversing-switch");
    const [coil] = reversible.motor.coils;
    const leadAt = (junction: string | undefined) =>
      reversible.motor.leads.find((lead) => lead.junction === junction)?.id ?? "";
    const [from, to] = [leadAt(coil?.from), leadAt(coil?.to)];
    const tied = moved(straight, { [from]: straight.landings[to] ?? "" });
    expect(codes(tied, reversible)).toContain("tied-winding");
  });
});

describe("the ground takes the frame alone", () => {
  const plan = planOn(fan3, "condenser-dual");

  it.each(fan3.leads)("%s on it is a stop, and the lead is named", (lead) => {
    const ground = plan.landings[FRAME] ?? "";
    const found = structureFindings(moved(plan, { [lead]: ground }), fan3).find(
      ({ code }) => code === "lead-on-ground",
    );
    expect(found).toMatchObject({ weight: "stop", leads: [lead] });
  });

  it("the frame on another place brings down whatever is there", () => {
    const [lead = ""] = fan3.leads;
    expect(codes(moved(plan, { [FRAME]: plan.landings[lead] ?? "" }), fan3)).toContain("lead-on-ground");
  });

  it("a jumper from a lead's terminal to the ground does the same, wherever it is put", () => {
    fc.assert(
      fc.property(fc.constantFrom(...fan3.leads), (lead) => {
        const jumper = { id: "hand", from: plan.landings[lead] ?? "", to: plan.compartment.supply.ground };
        expect(codes(withChanges(plan, { ...NO_CHANGES, added: [jumper] }), fan3)).toContain(
          "lead-on-ground",
        );
      }),
    );
  });
});

describe("what the equipment keeps", () => {
  const plan = planOn(fan3, "condenser-dual");

  it("a wire that serves something else may not be taken off, unless its ends still meet", () => {
    const wire = {
      id: "w",
      from: plan.landings[fan3.leads[0] ?? ""] ?? "",
      to: "nowhere",
      serves: "crankcase heater",
    };
    const cut = { ...plan, removed: [wire] };
    const found = structureFindings(cut, fan3).find(({ code }) => code === "serves-cut");
    expect(found?.says).toContain("crankcase heater");
    const kept = { ...cut, jumpers: [...plan.jumpers, { id: "hand", from: wire.from, to: wire.to }] };
    expect(codes(kept, fan3)).not.toContain("serves-cut");
  });

  it("a plate that the ohms do not go with is said: what is figured is rough then", () => {
    const met = [{ what: "amps", plate: 2, model: 3, unit: "A" }] as const;
    const off = { ...fan3, fitted: { ...fan3.fitted, met } } as unknown as TestMotor;
    const found = structureFindings(plan, off).find(({ code }) => code === "plate-not-met");
    expect(found).toMatchObject({ weight: "again" });
    expect(found?.says).toContain("amps 2 A, the model 3 A");
  });
});
