import { describe, expect, it } from "vitest";
import { fan3, fan4, plansFor, type TestMotor } from "../../../../tests/material/motors";
import type { Compartment } from "../compartment";
import { compartmentById } from "../equipment";
import type { MotorPlan } from "../plan";
import { atTimesVolts, type Otherwise, withAnyTwoCalls, withOpenCoil, withParts, worstOf } from "./otherwise";
import { rightRuns } from "./outcome";

const at = (id: string): Compartment => {
  const made = compartmentById(id);
  if (!made) throw new Error(id);
  return made;
};
const planned = (motor: TestMotor, id: string): { taken: Otherwise; right: ReturnType<typeof rightRuns> } => {
  const plan = plansFor(motor, at(id))[0] as MotorPlan;
  return { taken: { plan, run: motor }, right: rightRuns(motor, plan.lands.setting) };
};

describe("what other values of something nobody stated make of a plan", () => {
  const { taken, right } = planned(fan3, "condenser-single");
  const worst = (...others: Otherwise[]) => worstOf(taken, others, right);

  it("the values as they were taken do no harm", () => {
    expect(worst(taken)).toBeNull();
    expect(worst()).toBeNull();
  });

  it("twice the volts burn it, half of them start it weak or hang it", () => {
    expect(worst(atTimesVolts(taken, 2))).toBe("burns");
    expect(["weak", "hums"]).toContain(worst(atTimesVolts(taken, 0.5)));
  });

  it("a winding that is open lets it hum, or burns what is left", () => {
    for (const { id } of fan3.motor.coils)
      expect(["hums", "burns", "weak"]).toContain(worst(withOpenCoil(taken, id)));
  });

  it("too large a capacitor burns the start winding; next to none lets it hum, which burns the main", () => {
    const times = (factor: number) =>
      withParts(taken, (part) =>
        part.kind === "capacitor" ? { ...part, microfarads: part.microfarads * factor } : part,
      );
    expect(worst(times(4))).toBe("burns");
    expect(["hums", "burns"]).toContain(worst(times(0.05)));
    expect(worst(times(1.05))).toBeNull();
  });

  it("the gravest of several is told, in whatever order they come", () => {
    const others = [atTimesVolts(taken, 0.5), taken, atTimesVolts(taken, 2)];
    expect(worst(...others)).toBe("burns");
    expect(worst(...[...others].reverse())).toBe("burns");
  });

  it("what harms already with the value as taken has another cause, and is left out", () => {
    const burnt = atTimesVolts(taken, 2);
    expect(worstOf(burnt, [atTimesVolts(taken, 3)], right)).toBeNull();
  });
});

describe("any two calls at once", () => {
  it("are run as pairs, each once, whatever the equipment says", () => {
    const { taken } = planned(fan4, "condenser-dual");
    const { calls } = at("furnace-board");
    const plan = withAnyTwoCalls({ ...taken.plan, compartment: at("furnace-board") });
    expect(plan.compartment.together).toHaveLength((calls.length * (calls.length - 1)) / 2);
    expect(new Set(plan.compartment.together?.map((pair) => [...pair].sort().join()))).toHaveProperty(
      "size",
      plan.compartment.together?.length,
    );
  });
});
