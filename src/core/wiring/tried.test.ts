import { describe, expect, it } from "vitest";
import { fan3, plansFor } from "../../../tests/material/motors";
import type { Compartment } from "./compartment";
import { compartmentById } from "./equipment";
import { statesOf } from "./stateCircuit";
import { tried, triedQuestion } from "./tried";
import { AS_PLANNED, type TriedChange, withChange } from "./triedChange";
import { whatIf } from "./whatIf";

const made = compartmentById("condenser-dual") as Compartment;
const [plan] = plansFor(fan3, made);
const state = statesOf(made)[1];
if (!plan || !state) throw new Error("no plan");

const asked = (change: Partial<TriedChange>) =>
  tried(triedQuestion({ plan, ...fan3, state, change: { ...AS_PLANNED, ...change } }));

describe("a change tried on a planned circuit", () => {
  it("is asked and answered as plain data, the same as the circuit run here", () => {
    const answer = asked({});
    const { outcome, curve, live } = whatIf(plan, fan3, state);
    expect(structuredClone(answer)).toEqual(answer);
    expect(answer?.other).toBeNull();
    expect(answer?.planned).toMatchObject({ curve, live, lineAmps: outcome.lineAmps });
    expect(answer?.planned.turning?.rpm).toBeCloseTo(Math.abs(outcome.point?.rpm ?? 0), 9);
    expect(answer?.planned.turning?.way).toBe("forward");
  });

  it("without its capacitor the motor does not turn; with the plug over it turns the other way", () => {
    expect(asked({ capacitorTimes: 0 })?.other).toMatchObject({ turning: { way: "not" }, capacitor: null });
    expect(asked({ plugOver: true })?.other?.turning?.way).toBe("backward");
  });

  it("where nothing flows it says nothing, not what arithmetic leaves over", () => {
    // Every lead on one terminal.
    const [there] = Object.values(plan.landings);
    const landings = Object.fromEntries(Object.keys(plan.landings).map((lead) => [lead, there ?? ""]));
    const answer = tried(triedQuestion({ plan: { ...plan, landings }, ...fan3, state, change: AS_PLANNED }));
    expect(answer?.planned).toMatchObject({ lineAmps: 0, turning: { way: "not" } });
    const curve = answer?.planned.curve ?? [];
    expect(curve.length).toBeGreaterThan(0);
    for (const { torqueNm, capacitorVolts } of curve) {
      expect(torqueNm).toBe(0);
      expect(capacitorVolts ?? 0).toBe(0);
    }
  });

  it("two leads changed over and changed over again are the plan; one lead alone is no change", () => {
    const [one, other] = Object.keys(plan.landings) as [string, string];
    const swap = { ...AS_PLANNED, swap: [one, other] as const };
    expect(withChange(withChange(plan, swap), swap)).toEqual(plan);
    expect(withChange(plan, swap).landings).toMatchObject({ [one]: plan.landings[other] });
    for (const swapped of [
      [one, ""],
      [one, one],
    ] as const)
      expect(withChange(plan, { ...AS_PLANNED, swap: swapped })).toBe(plan);
    expect(asked({ swap: [one, one] })?.other).toBeNull();
  });

  it("leaves a start capacitor as it is when the run capacitor is changed", () => {
    const parts = (of: typeof plan) => of.compartment.devices.flatMap((device) => device.parts);
    const starts = (of: typeof plan) => parts(of).filter((part) => part.kind === "capacitor" && part.start);
    const half = withChange(plan, { ...AS_PLANNED, capacitorTimes: 0.5 });
    expect(starts(half)).toEqual(starts(plan));
    expect(half).not.toEqual(plan);
  });

  it("nothing asked is nothing answered", () => {
    expect(tried("")).toBeNull();
  });
});
