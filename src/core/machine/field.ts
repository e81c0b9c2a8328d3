import { type Complex, complex, div, mul, polar, scale } from "./complex";

/**
 * The rotor and the air gap of one pole count, as seen from the main winding, in ohms of a symmetrical two-phase
 * machine. Per-phase data of a three-phase motor are multiplied by 2/3 (see {@link fromThreePhase}).
 */
export interface RotorField {
  readonly poles: number;
  /** Magnetising reactance Xm. */
  readonly magnetisingOhms: number;
  /** Rotor resistance R2 and leakage reactance X2. */
  readonly rotorOhms: number;
  readonly rotorReactanceOhms: number;
  /** A rotor on a shaft of its own, held at this slip; the machine's shaft where left out. */
  readonly ownSlip?: number;
}

/** A winding in that field: its axis, electrical degrees, and its effective turns where a main winding has one. */
export interface FieldPlace {
  readonly axisDegrees: number;
  readonly turns: number;
}

/** Impedances that the forward and the backward field put in a winding's way at a slip. */
export interface FieldImpedance {
  readonly forward: Complex;
  readonly backward: Complex;
}

/** Per-phase equivalent-circuit data of a three-phase motor as a two-phase machine has them. */
export function fromThreePhase(perPhase: RotorField): RotorField {
  return {
    poles: perPhase.poles,
    magnetisingOhms: (perPhase.magnetisingOhms * 2) / 3,
    rotorOhms: (perPhase.rotorOhms * 2) / 3,
    rotorReactanceOhms: (perPhase.rotorReactanceOhms * 2) / 3,
  };
}

/**
 * Zf = ½·(jXm ∥ (R2/s + jX2)) and Zb the same at 2 − s (double-revolving-field theory: Fitzgerald, Kingsley & Umans,
 * Electric Machinery; Veinott, Theory and Design of Small Induction Motors), written as
 * jXm(R2 + jsX2)/(R2 + js(Xm + X2)), which needs no special case at s = 0.
 */
export function fieldImpedance(field: RotorField, slip: number): FieldImpedance {
  return { forward: half(field, slip), backward: half(field, 2 - slip) };
}

function half({ magnetisingOhms, rotorOhms, rotorReactanceOhms }: RotorField, slip: number): Complex {
  const above = mul(complex(0, magnetisingOhms), complex(rotorOhms, slip * rotorReactanceOhms));
  const below = complex(rotorOhms, slip * (magnetisingOhms + rotorReactanceOhms));
  return scale(div(above, below), 0.5);
}

/**
 * Volts that an ampere in one winding puts into another through the field: Nk·(Zf·e^(−jθk)·Nm·e^(jθm) +
 * Zb·e^(jθk)·Nm·e^(−jθm)).
 */
export function mutualOhms(
  { forward, backward }: FieldImpedance,
  into: FieldPlace,
  from: FieldPlace,
): Complex {
  const angle = from.axisDegrees - into.axisDegrees;
  const turns = into.turns * from.turns;
  const f = mul(forward, polar(turns, angle));
  const b = mul(backward, polar(turns, -angle));
  return { re: f.re + b.re, im: f.im + b.im };
}

/** Synchronous speed, radians a second: 4πf / poles. */
export function synchronousRadians(poles: number, hertz: number): number {
  return (4 * Math.PI * hertz) / poles;
}
