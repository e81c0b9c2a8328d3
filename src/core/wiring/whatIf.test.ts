import { describe, expect, it } from "vitest";
import { blower4, fan3, plansFor, type TestMotor } from "../../../tests/material/motors";
import { turnedByPlug } from "../machine/rotationPlug";
import type { Compartment } from "./compartment";
import { compartmentById } from "./equipment";
import { CAPPED } from "./place";
import { speedForecast } from "./speedForecast";
import { guardedStatesOf, statesOf } from "./stateCircuit";
import { whatIf } from "./whatIf";

function ran(motor: TestMotor, equipment: string, state: number, landings: Record<string, string> = {}) {
  const made = compartmentById(equipment) as Compartment;
  const [plan] = plansFor(motor, made);
  const at = statesOf(made)[state];
  if (!plan || !at) throw new Error(equipment);
  return whatIf({ ...plan, landings: { ...plan.landings, ...landings } }, motor, at);
}

describe("a plan run on screen", () => {
  it("at rest nothing is live on two poles, and there is no curve to draw", () => {
    const { live, curve } = ran(fan3, "condenser-dual", 0);
    expect(live).toEqual([]);
    expect(curve).toEqual([]);
  });

  it("on a call every landed lead is live; the frame is not", () => {
    expect([...ran(fan3, "condenser-dual", 1).live].sort()).toEqual(["bk", "bn", "ye"]);
  });

  it("the curve begins at standstill, ends at synchronous speed, and meets the load where the motor settles", () => {
    const { curve, outcome } = ran(fan3, "condenser-dual", 1);
    expect(curve[0]?.rpm).toBeCloseTo(0, 6);
    expect(curve.at(-1)?.rpm).toBeCloseTo(1200, 6);
    const rpm = outcome.point?.rpm ?? 0;
    const over = curve.findLast((point) => point.rpm <= rpm);
    const under = curve.find((point) => point.rpm > rpm);
    expect((over?.torqueNm ?? 0) - (over?.loadNm ?? 0)).toBeGreaterThan(-0.1);
    expect((under?.torqueNm ?? 0) - (under?.loadNm ?? 0)).toBeLessThan(0.1);
  });

  it("volts across the run capacitor rise with speed", () => {
    const { curve } = ran(fan3, "condenser-dual", 1);
    const volts = curve.map((point) => point.capacitorVolts ?? 0);
    expect(volts.at(-1)).toBeGreaterThan(1.3 * (volts[0] ?? 0));
  });

  it("without its start end nothing turns, and the curve begins at nothing", () => {
    const { curve, outcome } = ran(fan3, "condenser-dual", 1, { bn: CAPPED });
    expect(outcome.point?.outcome).toBe("stalls");
    expect(Math.abs(curve[0]?.torqueNm ?? 1)).toBeLessThan(1e-6);
  });

  it("a motor turned by its plug has the same curve, drawn the way it turns", () => {
    const forward = ran(fan3, "condenser-dual", 1);
    const backward = ran({ ...fan3, motor: turnedByPlug(fan3.motor) }, "condenser-dual", 1);
    expect(backward.outcome.point?.outcome).toBe("runs-backward");
    expect(backward.curve).toHaveLength(forward.curve.length);
    backward.curve.forEach((point, i) => {
      expect(point.rpm).toBeCloseTo(forward.curve[i]?.rpm ?? -1, 6);
      expect(point.torqueNm).toBeCloseTo(forward.curve[i]?.torqueNm ?? -1, 9);
      expect(point.loadNm).toBeCloseTo(forward.curve[i]?.loadNm ?? -1, 9);
    });
  });

  it("with the door open under a call no lead is live, and there is no curve", () => {
    const made = compartmentById("furnace-board") as Compartment;
    const [plan] = plansFor(blower4, made);
    const [open] = guardedStatesOf(made);
    if (!plan || !open) throw new Error("no guard");
    const { live, curve, outcome } = whatIf(plan, blower4, open);
    expect(open.opened).toBe("the door is open");
    expect([live, curve]).toEqual([[], []]);
    expect(outcome.lineAmps).toBeLessThan(1e-6);
  });
});

describe("what is expected of each speed", () => {
  it("falls from the fastest to the slowest, in speed and in amps", () => {
    const forecast = speedForecast(blower4, "high");
    expect(forecast.map(({ speed }) => speed)).toEqual([1, 2, 3, 4]);
    for (const [i, one] of forecast.entries()) {
      const slower = forecast[i + 1];
      if (!slower) continue;
      expect(slower.rpm).toBeLessThan(one.rpm);
      expect(slower.amps).toBeLessThan(one.amps);
    }
  });
});
