import { describe, expect, it } from "vitest";
import {
  guarded,
  plansFor,
  startPair,
  type TestMotor,
  twoSpeed3,
  twoSpeed4,
} from "../../../tests/material/motors";
import { feedingOf } from "../machine/feedingOf";
import { checkPlan } from "./check/check";
import { compartmentById } from "./equipment";
import type { MotorPlan } from "./plan";

function planned(motor: TestMotor, id: string): MotorPlan {
  const made = compartmentById(id);
  const [plan] = made ? plansFor(motor, made) : [];
  if (!plan) throw new Error(id);
  return plan;
}

const stops = (plan: MotorPlan, motor: TestMotor) =>
  checkPlan(plan, motor).findings.flatMap(({ weight, code }) => (weight === "stop" ? [code] : []));
const joined = (plan: MotorPlan, ...leads: string[]) =>
  new Set(leads.map((lead) => plan.landings[lead])).size === 1;

describe("a start winding on two leads of its own, by a run capacitor", () => {
  const plan = planned(startPair, "condenser-single");

  it("one end on the line with the main, the other through the capacitor; it runs", () => {
    expect(checkPlan(plan, startPair).findings.map(({ code }) => code)).toContain("runs-right");
    expect(joined(plan, "bk", "pu")).toBe(true);
    expect([plan.landings.br, plan.landings.ye].sort()).toEqual(["capacitor.1", "capacitor.2"]);
  });

  it("its two ends exchanged turn it the other way", () => {
    const turns = (of: MotorPlan) => checkPlan(of, startPair).outcomes.at(-1)?.point?.outcome;
    const { pu = "", ye = "" } = plan.landings;
    const exchanged = { ...plan, landings: { ...plan.landings, pu: ye, ye: pu } };
    expect([turns(plan), turns(exchanged)].sort()).toEqual(["runs", "runs-backward"]);
  });

  it("both ends on one wire: stopped, and it says so", () => {
    const tied = { ...plan, landings: { ...plan.landings, pu: plan.landings.ye ?? "" } };
    expect(stops(tied, startPair)).toContain("tied-winding");
  });
});

describe("two mains, fewer leads", () => {
  it.each([
    ["four leads, the start winding on the shared one", twoSpeed4],
    ["three leads, the start parts inside", twoSpeed3],
  ])("%s: each call its own main, the shared lead on the return", (_, motor) => {
    const plan = planned(motor, "two-speed-switch");
    const run = checkPlan(plan, motor);
    const speeds = run.outcomes.filter(({ wanted }) => wanted).map(({ point }) => Math.abs(point?.rpm ?? 0));
    expect(Math.max(...speeds)).toBeGreaterThan(1600);
    expect(Math.min(...speeds)).toBeLessThan(1250);
    expect(Math.min(...speeds)).toBeGreaterThan(900);
  });

  it("with one end of the start winding on the shared lead nothing turns it round", () => {
    const slots = new Set(twoSpeed4.motor.leads.map(({ slot }) => slot));
    const ask = { speed: 1, setting: "high", reversed: true, slots, startOutside: false } as const;
    expect(feedingOf(twoSpeed4.motor).chart(ask)).toBeNull();
  });
});

describe("a protector on leads of its own", () => {
  const plan = planned(guarded, "bench-cord");

  it("stands in line before every winding", () => {
    expect(stops(plan, guarded)).not.toContain("protector-bypassed");
    expect(checkPlan(plan, guarded).findings.map(({ code }) => code)).toContain("runs-right");
    expect(joined(plan, "p2", "bu")).toBe(true);
  });

  it.each([
    ["both its ends on the line", (p: MotorPlan) => ({ p2: p.landings.p1 ?? "", bu: p.landings.p1 ?? "" })],
    ["the start winding fed beside it", (p: MotorPlan) => ({ rd: p.landings.p1 ?? "" })],
  ])("%s: it guards nothing, and the plan is stopped", (_, move) => {
    const wrong = { ...plan, landings: { ...plan.landings, ...move(plan) } };
    expect(stops(wrong, guarded)).toContain("protector-bypassed");
  });
});
