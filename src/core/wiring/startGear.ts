import { abs, type Complex, scale, ZERO } from "../machine/complex";
import { fieldImpedance } from "../machine/field";
import type { FittedMotor } from "../machine/fitMotor";
import { solve } from "../machine/solve";
import type { WoundMotor } from "../machine/woundMotor";
import type { Part } from "./compartment";
import type { WiringPlan } from "./plan";
import { hungMotor, stateCircuit, statesOf } from "./stateCircuit";

/** The speed at which the start winding is to go out: three quarters of synchronous. */
const OUT_AT_SLIP = 0.25;
/** A relay lets go at the most at this share of what its coil keeps in the running motor. */
const DROP_OUT_SHARE = 0.6;

/**
 * Microfarads that set start and main current a quarter period apart at standstill: Xc = Xa + Ra·Rm/Xm, with Zm = Rm + jXm
 * and Za = Ra + jXa the locked-rotor impedances (quadrature condition).
 */
export function startMicrofarads(motor: WoundMotor, { parameters: p }: FittedMotor): number | null {
  const main = motor.coils.find(({ winding }) => winding === "main" || winding === "half");
  const start = motor.coils.find(({ winding }) => winding === "start");
  if (!main || !start) return null;
  const { forward, backward } = fieldImpedance(
    {
      poles: p.poles[0],
      magnetisingOhms: p.magnetisingOhms,
      rotorOhms: p.rotorOhms,
      rotorReactanceOhms: p.rotorReactanceOhms,
    },
    1,
  );
  const both: Complex = { re: forward.re + backward.re, im: forward.im + backward.im };
  const locked = (ohms: number, turns: number): Complex => {
    const seen = scale(both, turns * turns);
    return { re: ohms + seen.re, im: p.leakageOhms * turns * turns + seen.im };
  };
  const [zm, za] = [locked(main.ohms, 1), locked(start.ohms, p.startTurns)];
  const reactance = za.im + (za.re * zm.re) / zm.im;
  return 1e6 / (2 * Math.PI * p.hertz * reactance);
}

/**
 * The plan with start capacitor and potential relay to suit its motor: as its plate says, else as the model figures.
 * Picked up where the coil stands at three quarters of speed with the capacitor in, held by what it keeps after.
 */
export function withStartGear(plan: WiringPlan, motor: WoundMotor, fitted: FittedMotor): WiringPlan {
  const parts = plan.compartment.devices.flatMap((device) => device.parts);
  const relay = parts.find((part) => part.kind === "potential-relay");
  const capacitor = parts.find((part) => part.kind === "capacitor" && part.start === true);
  if (!relay || !capacitor) return plan;
  const plated = fitted.rating.startMicrofarads;
  const microfarads = plated ?? startMicrofarads(motor, fitted);
  if (microfarads === null) return plan;
  const sized = withParts(plan, (part) =>
    part.id === capacitor.id && part.kind === "capacitor"
      ? { ...part, microfarads: Number(microfarads.toPrecision(3)) }
      : part,
  );
  const run = statesOf(sized.compartment).find(({ calls }) => calls.length > 0);
  if (!run) return sized;
  const circuit = stateCircuit(sized, hungMotor(sized, motor, fitted), run);
  const coilVolts = (slip: number, closed: boolean) => {
    const branches = circuit.machine.branches.map((b) =>
      b.kind === "switch" && b.id === relay.id ? { ...b, closed } : b,
    );
    const solution = solve({ ...circuit.machine, branches }, slip);
    return abs(solution?.branches.get(`${relay.id}-coil`)?.volts ?? ZERO);
  };
  const running = 1 - (fitted.rating.rpm * fitted.rating.poles) / (120 * fitted.rating.hertz);
  const pickUpVolts = Math.round(coilVolts(OUT_AT_SLIP, true));
  const dropOutVolts = Math.round(
    DROP_OUT_SHARE * Math.min(coilVolts(running, false), coilVolts(OUT_AT_SLIP, false)),
  );
  if (!(pickUpVolts > 0) || !(dropOutVolts > 0)) return sized;
  const suited = withParts(sized, (part) =>
    part.id === relay.id && part.kind === "potential-relay" ? { ...part, pickUpVolts, dropOutVolts } : part,
  );
  return {
    ...suited,
    cautions: [
      ...suited.cautions,
      `Start capacitor about ${Math.round(microfarads)} µF${plated === null ? ", figured from the windings: an estimate, the plate’s band decides" : ", as the plate says"}; a relay that picks up near ${pickUpVolts} V and drops out under ${dropOutVolts} V, by the same model.`,
    ],
  };
}

function withParts(plan: WiringPlan, change: (part: Part) => Part): WiringPlan {
  const devices = plan.compartment.devices.map((device) => ({ ...device, parts: device.parts.map(change) }));
  return { ...plan, compartment: { ...plan.compartment, devices } };
}
