import { describe, expect, it } from "vitest";
import { deadOhms } from "../proving/deadOhms";
import { COMPARTMENTS } from "../wiring/equipment";
import { hungMotor, stateCircuit, statesOf } from "../wiring/stateCircuit";
import { directOhms } from "./directOhms";
import { pick, seededRandom } from "./random";
import { ATTACKED_KINDS, goodPlans } from "./wiringAttack";

describe("ohms with the power off", () => {
  it("come out alike by node volts and by stars made meshes, on every kind of motor and equipment", () => {
    const random = seededRandom(33);
    let compared = 0;
    for (let draw = 0; draw < 60; draw++) {
      const [family, leads] = pick(random, ATTACKED_KINDS);
      const [attacked] = goodPlans(random, pick(random, COMPARTMENTS), family, leads);
      if (!attacked) continue;
      const { plan, run, built } = attacked;
      const [state] = statesOf(plan.compartment);
      if (!state) continue;
      const circuit = stateCircuit(plan, hungMotor(plan, run.motor, run.fitted), state);
      const made = { plan, ...run };
      const call = { state, speed: 1, reversed: false };
      const ids = built.motor.leads.map(({ id }) => id);
      for (const [i, one] of ids.entries())
        for (const other of ids.slice(i + 1)) {
          const byVolts = deadOhms(made, call, {}, [one, other]);
          const byStars = directOhms({ machine: circuit.machine, circuit }, built.motor.leads, [one, other]);
          compared += 1;
          if (!Number.isFinite(byVolts)) expect(byStars).toBe(Number.POSITIVE_INFINITY);
          // A closed contact has a hundredth of an ohm here and a thousandth there.
          else expect(Math.abs(byStars - byVolts)).toBeLessThan(0.01 * byVolts + 0.08);
        }
    }
    expect(compared).toBeGreaterThan(200);
  });
});
