import { describe, expect, it } from "vitest";
import { fan3, plansFor } from "../../../tests/material/motors";
import { compartmentById } from "./equipment";
import { CAPPED } from "./place";
import { type MotorPlan, NO_CHANGES, NO_TURN, type Turn, turnOfPlan, withChanges } from "./plan";
import { planRetrofit } from "./retrofit";

function fanPlan(turn: Turn = NO_TURN): MotorPlan {
  const made = compartmentById("condenser-dual");
  const [plan] = made ? plansFor(fan3, made, { turn }) : [];
  if (!plan) throw new Error("no plan");
  return plan;
}

describe("changes by hand", () => {
  const plan = fanPlan();
  const [lead = ""] = fan3.leads;

  it("none leave the very plan", () => {
    expect(withChanges(plan, NO_CHANGES)).toBe(plan);
  });

  it("a lead that is moved goes there, and the step says where it was planned to", () => {
    const changed = withChanges(plan, { ...NO_CHANGES, landings: { [lead]: CAPPED } });
    expect(changed.landings[lead]).toBe(CAPPED);
    expect(changed.reasons[lead]).toMatch(/^Moved by hand; planned: .+\.$/);
    expect(plan.landings[lead]).not.toBe(CAPPED);
  });

  it("one that is moved back has its own reason again", () => {
    const back = withChanges(plan, { ...NO_CHANGES, landings: { [lead]: plan.landings[lead] ?? "" } });
    expect(back.reasons[lead]).toBe(plan.reasons[lead]);
  });

  it("a lead of another motor is passed over: the plan was made anew under it", () => {
    const changed = withChanges(plan, { ...NO_CHANGES, landings: { zz: CAPPED } });
    expect(changed.landings).toEqual(plan.landings);
  });

  it("jumpers are added, and those taken off are gone", () => {
    const jumper = { id: "hand-1", from: "a", to: "b" };
    const added = withChanges(plan, { ...NO_CHANGES, added: [jumper] });
    expect(added.jumpers).toContainEqual(jumper);
    expect(withChanges(plan, { ...NO_CHANGES, added: [jumper], gone: ["hand-1"] }).jumpers).toEqual(
      plan.jumpers,
    );
  });

  it("a wire of the equipment that is taken off is kept in mind as taken off by hand", () => {
    const [wire] = plan.compartment.wires;
    const changed = withChanges(plan, { ...NO_CHANGES, gone: [wire?.id ?? ""] });
    expect(changed.compartment.wires).toHaveLength(plan.compartment.wires.length - 1);
    expect(changed.removed.at(-1)).toMatchObject({ id: wire?.id, byHand: true });
  });

  it("what is landed stays what it is", () => {
    expect(withChanges(plan, { ...NO_CHANGES, landings: { [lead]: CAPPED } }).lands).toBe(plan.lands);
  });
});

describe("what a plan lands", () => {
  it("a motor has a setting, a turn and something that takes its start winding out", () => {
    expect(fanPlan().lands).toEqual({
      kind: "motor",
      setting: "high",
      startOut: "motor",
      turn: NO_TURN,
      plugTurned: false,
    });
  });

  it("a module has the volts it was seen set for, or none", () => {
    const made = compartmentById("electronic-strip");
    const of = (setFor?: number) => {
      const planned = made ? planRetrofit(made, setFor === undefined ? {} : { setFor }) : null;
      return planned?.ok ? planned.plans[0]?.lands : null;
    };
    expect(of()).toEqual({ kind: "module", setFor: null });
    expect(of(115)).toEqual({ kind: "module", setFor: 115 });
  });

  it("it turns the way it has to; where nobody says, the way its drawing has it", () => {
    const turn = (needed: Turn["needed"], asDrawn: Turn["asDrawn"]) =>
      turnOfPlan(fanPlan({ needed, neededBy: "the blade", asDrawn }));
    expect(turn("cw-lead-end", "ccw-lead-end")).toBe("cw-lead-end");
    expect(turn(null, "ccw-lead-end")).toBe("ccw-lead-end");
    expect(turn(null, null)).toBeNull();
  });
});
