import { describe, expect, it } from "vitest";
import { fan3, plansFor, threePhase3 } from "../../../tests/material/motors";
import { capacitorsInCircuit } from "../proving/capacitorsInCircuit";
import type { NextCheck } from "../proving/diagnosis";
import { compartmentById } from "../wiring/equipment";
import { statesOf } from "../wiring/stateCircuit";
import type { PoweredFault } from "./poweredFault";
import { type PoweredMachine, poweredMachine } from "./poweredMachine";
import { seededRandom } from "./random";

const NONE: PoweredFault = { cause: "as-planned", at: [], degree: 0 };

/** A machine on its equipment; the same seed has the same load, iron and supply, whatever its fault. */
function machineOf(
  test: typeof fan3,
  equipment: string,
  fault: PoweredFault = NONE,
  seed = 11,
): PoweredMachine {
  const made = compartmentById(equipment);
  const [plan] = made ? plansFor(test, made) : [];
  if (!plan) throw new Error(equipment);
  const { motor, fitted } = test;
  const states = statesOf(plan.compartment).filter(({ calls }) => calls.length === 1);
  const capacitors = capacitorsInCircuit({ plan, motor, fitted, states });
  return poweredMachine(
    { plan, built: { motor, truth: fitted }, random: seededRandom(seed), capacitors },
    fault,
  );
}

const fan = (fault?: PoweredFault, seed?: number) => machineOf(fan3, "condenser-dual", fault, seed);
const fault = (cause: PoweredFault["cause"], at: readonly string[] = [], degree = 0): PoweredFault => ({
  cause,
  at,
  degree,
});

const check = (one: object) => ({ because: "", power: "on", ...one }) as NextCheck;
const CALL = "cool";

function figure(machine: PoweredMachine, asked: object): number {
  const seen = machine.observe(check(asked));
  if (!seen) throw new Error("nobody could read that");
  for (const key of ["amps", "volts", "rpm", "ohms", "microfarads", "peak", "megohms"] as const)
    if (key in seen) return (seen as unknown as Record<string, number>)[key] ?? Number.NaN;
  throw new Error(`no figure in ${seen.what}`);
}

describe("a virtual machine under power", () => {
  it("runs about as its plate says, and is the same for the same seed", () => {
    const machine = fan();
    expect(machine.calls).toContain(CALL);
    expect(machine.trueRpm(CALL)).toBeGreaterThan(1000);
    expect(machine.trueRpm(CALL)).toBeLessThan(1150);
    const [lead] = fan3.leads;
    expect(machine.trueAmps(CALL, lead ?? "")).toBe(fan().trueAmps(CALL, lead ?? ""));
    expect(machine.trueAmps(CALL, lead ?? "")).not.toBe(fan(NONE, 12).trueAmps(CALL, lead ?? ""));
  });

  it("stands still without a call, and takes nothing", () => {
    const machine = fan();
    for (const lead of fan3.leads) expect(machine.trueAmps("idle", lead)).toBeLessThan(0.01);
    expect(machine.trueRpm("idle")).toBe(0);
  });

  it("what instruments show lies about the truth, within their own error", () => {
    const machine = fan();
    for (const lead of fan3.leads) {
      const truth = machine.trueAmps(CALL, lead);
      const shown = figure(machine, { what: "line-amps", call: CALL, lead });
      expect(Math.abs(shown - truth)).toBeLessThanOrEqual(0.02 * truth + 0.05 + 0.006);
    }
    expect(Math.abs(figure(machine, { what: "rpm", call: CALL }) - machine.trueRpm(CALL))).toBeLessThan(6);
  });

  it("its winding reads with the power off what it is made of", () => {
    const machine = fan();
    const ohms = figure(machine, { what: "ohms", between: ["ye", "bk"] });
    const main = fan3.motor.coils.find(({ winding }) => winding === "main")?.ohms ?? 0;
    expect(Math.abs(ohms - main)).toBeLessThan(0.05 * main + 0.6);
  });

  it("insulation is as old as the motor: read twice it is the same", () => {
    const machine = fan();
    const asked = check({ what: "insulation", lead: fan3.leads[0] });
    expect(machine.observe(asked)).toEqual(machine.observe(asked));
  });
});

describe("faults show as they do at a real one", () => {
  const sound = fan();
  const [line = ""] = fan3.leads;
  const rpm = (machine: PoweredMachine) => machine.trueRpm(CALL);
  const amps = (machine: PoweredMachine) => machine.trueAmps(CALL, line);

  it("a stuck shaft hums at its starting amps", () => {
    const machine = fan(fault("shaft-stuck"));
    expect(rpm(machine)).toBe(0);
    expect(amps(machine)).toBeCloseTo(sound.trueAmps(CALL, line, true), 9);
    expect(machine.observe(check({ what: "starts", call: CALL }))).toMatchObject({ how: "hums" });
  });

  it("more to turn costs speed, less gives it back; amps go with it", () => {
    const [heavy, light] = [fan(fault("load-heavy", [], 1.6)), fan(fault("load-light", [], 0.3))];
    expect(rpm(heavy)).toBeLessThan(rpm(sound));
    expect(rpm(light)).toBeGreaterThan(rpm(sound));
    expect(amps(heavy)).toBeGreaterThan(amps(light));
  });

  it("a low supply reads low at the terminals", () => {
    const between = ["L1", "L2"] as const;
    const volts = (machine: PoweredMachine) => figure(machine, { what: "supply-volts", call: CALL, between });
    expect(volts(fan(fault("supply-low", [], 0.8))) / volts(sound)).toBeCloseTo(0.8, 1);
  });

  it("a weak capacitor reads weak when it is lifted, and has more volts than amps to show for it", () => {
    const weak = fan(fault("capacitor-weak", ["fan"], 2));
    const of = (machine: PoweredMachine) => figure(machine, { what: "capacitor-microfarads", at: "fan" });
    expect(of(weak)).toBeLessThan(0.6 * of(sound));
    expect(figure(weak, { what: "capacitor-amps", call: CALL, at: "fan" })).toBeLessThan(
      figure(sound, { what: "capacitor-amps", call: CALL, at: "fan" }),
    );
  });

  it("a lead that is off carries nothing", () => {
    const machine = fan(fault("lead-off", [line]));
    expect(amps(machine)).toBeLessThan(0.01);
    expect(rpm(machine)).toBe(0);
  });

  it("a clamp round two wires shows nothing of what flows, and turned twice it shows double", () => {
    const round = fan(fault("clamp-round-two", [line]));
    expect(figure(round, { what: "line-amps", call: CALL, lead: line })).toBeLessThan(0.2);
    expect(amps(round)).toBeCloseTo(amps(sound), 9);
    const twice = fan(fault("clamp-turns", [line], 2));
    expect(figure(twice, { what: "line-amps", call: CALL, lead: line }) / amps(sound)).toBeCloseTo(2, 0);
  });

  it("a lost phase leaves a three-phase motor humming on two lines", () => {
    const whole = machineOf(threePhase3, "three-phase-contactor");
    const [call = ""] = whole.calls.filter((one) => one !== "idle");
    const lost = machineOf(threePhase3, "three-phase-contactor", fault("phase-lost", ["L2"]));
    expect(whole.trueRpm(call)).toBeGreaterThan(1500);
    expect(lost.trueRpm(call)).toBe(0);
    expect(lost.trueAmps(call, "L2")).toBe(0);
  });
});
