import { describe, expect, it } from "vitest";
import { blower4, dualVoltage, fan3, fan4, plansFor, submersible } from "../../../tests/material/motors";
import { WIRING_EQUIPMENT, wiringTask } from "../practice/wiringTask";
import { compartmentById } from "./equipment";
import { CAPPED, jointPlace } from "./place";
import { FRAME, type MotorPlan, NO_CHANGES, type PlanStep, withChanges } from "./plan";
import { capacitorStepId, planSteps, stepTick } from "./steps";

const TASKS = WIRING_EQUIPMENT.flatMap((equipment) =>
  [3, 17, 40].map((seed) => ({ equipment, seed, ...wiringTask(seed, { task: "wire-it", equipment }) })),
);

function planned(motor: typeof fan3, equipment: string): { plan: MotorPlan; leads: readonly string[] } {
  const made = compartmentById(equipment);
  const [plan] = made ? plansFor(motor, made) : [];
  if (!plan) throw new Error(`no plan on ${equipment}`);
  return { plan, leads: motor.leads };
}

const kinds = (steps: readonly PlanStep[]) => steps.map(({ kind }) => kind);
const first = (steps: readonly PlanStep[], kind: PlanStep["kind"]) => kinds(steps).indexOf(kind);
const last = (steps: readonly PlanStep[], kind: PlanStep["kind"]) => kinds(steps).lastIndexOf(kind);

describe.each(TASKS)("the work on $equipment, motor $seed", ({ good, leads }) => {
  const ids = leads.map(({ id }) => id);
  const steps = planSteps(good, ids);

  it("is one step for each lead, and each step has its own name to be ticked by", () => {
    const landed = steps.flatMap(({ kind, lead }) => (kind !== "ground" && lead !== null ? [lead] : []));
    expect([...landed].sort()).toEqual([...ids].sort());
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  });

  it("goes in the order of the hands: ground, what comes off, capacitors, wires, caps, the look", () => {
    expect(first(steps, "ground")).toBe(0);
    const order: readonly PlanStep["kind"][] = [
      "take-off",
      "capacitor",
      "join",
      "land",
      "park",
      "cap",
      "look",
    ];
    const there = order.filter((kind) => kinds(steps).includes(kind));
    there.slice(1).forEach((kind, i) => {
      expect(last(steps, there[i] as PlanStep["kind"])).toBeLessThan(first(steps, kind));
    });
    expect(kinds(steps).slice(-2)).toEqual(["look", "look"]);
  });

  it("lands on the lines last: until then nothing that is touched can be fed", () => {
    const { offers, supply } = good.compartment;
    const lines = new Set([
      ...offers.feeds.map(({ hot }) => hot),
      ...(offers.lines ?? []),
      ...supply.terminals,
    ]);
    const onLine = steps.filter(({ kind }) => kind === "land").map(({ to }) => lines.has(to ?? ""));
    expect(onLine).toEqual([...onLine].sort((a, b) => Number(a) - Number(b)));
  });

  it("says a reason for every wire", () => {
    for (const { lead, because } of steps) if (lead !== null) expect(because).toMatch(/\.$/);
  });
});

describe("steps of the trade's own changes", () => {
  it("a duplicate run end that is not needed is capped on its own", () => {
    const { plan, leads } = planned(fan4, "condenser-single");
    const caps = planSteps(plan, leads).filter(({ kind }) => kind === "cap");
    for (const { because } of caps) expect(because).toMatch(/capped on its own|live while the motor runs/);
  });

  it("unused speeds are parked where the board has a place, and capped where it has none", () => {
    const { plan, leads } = planned(blower4, "furnace-board");
    const steps = planSteps(plan, leads);
    const unused = leads.filter((lead) =>
      steps.some((s) => s.lead === lead && ["park", "cap"].includes(s.kind)),
    );
    expect(unused.length).toBeGreaterThan(0);
    const parks = plan.compartment.offers.park.length;
    expect(kinds(steps).filter((kind) => kind === "park").length).toBeLessThanOrEqual(parks);
  });

  it("two leads that meet nowhere else are joined before anything is landed", () => {
    const { plan, leads } = planned(dualVoltage, "pump-pressure-switch");
    const steps = planSteps(plan, leads);
    expect(kinds(steps)).toContain("join");
    expect(last(steps, "join")).toBeLessThan(first(steps, "land"));
    for (const { to } of steps.filter(({ kind }) => kind === "join")) expect(to).toBe(jointPlace(1));
  });

  it("a pump's control box is worked on with its parts named", () => {
    const { plan, leads } = planned(submersible, "submersible-box");
    const named = planSteps(plan, leads).filter(({ kind }) => kind === "capacitor");
    expect(named.map(({ device }) => device)).not.toContain(null);
  });
});

describe("ticks", () => {
  it("stay with their step through a change elsewhere, and open again where the wire goes another way", () => {
    const { plan, leads } = planned(fan3, "condenser-dual");
    const before = planSteps(plan, leads).map(({ id }) => stepTick(plan, id));
    const [moved = "", kept = ""] = leads;
    const changed = withChanges(plan, { ...NO_CHANGES, landings: { [moved]: CAPPED } });
    const after = planSteps(changed, leads);
    const tickOf = (lead: string) => stepTick(changed, after.find((step) => step.lead === lead)?.id ?? "");
    expect(before).toContain(tickOf(kept));
    expect(before).not.toContain(tickOf(moved));
  });

  it("belong to the equipment and the plan", () => {
    const [one, other] = [planned(fan3, "condenser-dual"), planned(fan3, "condenser-single")];
    expect(stepTick(one.plan, "ground")).not.toBe(stepTick(other.plan, "ground"));
    expect(capacitorStepId("dual")).toBe("capacitor-dual");
  });

  it("a wire taken off by hand is a step of its own, with its reason", () => {
    const { plan, leads } = planned(fan3, "condenser-dual");
    const [wire] = plan.compartment.wires;
    const changed = withChanges(plan, { ...NO_CHANGES, gone: [wire?.id ?? ""] });
    const off = planSteps(changed, leads).find((step) => step.wire === wire?.id);
    expect(off).toMatchObject({ kind: "take-off", because: "Taken off by hand." });
    expect(off?.does).toMatch(/^Take off the wire from .+ to .+\.$/);
  });

  it("no ground step where the frame is landed nowhere", () => {
    const { plan, leads } = planned(fan3, "condenser-dual");
    const bare = { ...plan, landings: { ...plan.landings, [FRAME]: CAPPED } };
    expect(kinds(planSteps(bare, leads))).not.toContain("ground");
  });
});
