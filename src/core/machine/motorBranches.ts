import type { Branch } from "./circuit";
import { CONTACT_OHMS } from "./circuit";
import { feedingOf } from "./feedingOf";
import type { RotorField } from "./field";
import { GROUND } from "./joinedCircuit";
import type { StartContact } from "./operatingPoint";
import type { Coil, WoundMotor } from "./woundMotor";

/** What the ohmmeter does not tell of a motor, in ohms of one main coil. */
export interface MotorParameters {
  readonly hertz: number;
  /** Poles of the fast field, and of the slow one of a pole-changing motor. */
  readonly poles: readonly [number, number];
  readonly magnetisingOhms: number;
  readonly rotorOhms: number;
  /** Leakage of a coil of one turn. */
  readonly leakageOhms: number;
  /** Leakage of the rotor, as one coil sees it: shared among coils as the other two of the rotor are. */
  readonly rotorReactanceOhms: number;
  /** Effective turns of the whole start winding, or of what starts in its place, where a main coil has one. */
  readonly startTurns: number;
  readonly frictionNm: number;
  /** Section of a speed section's wire beside the main's, where it is not the usual one. */
  readonly speedWireShare?: number;
}

/** How the start winding goes out of circuit, and through what it starts. */
export interface StartGear {
  /** A switch on the shaft in line with each part of the start winding. */
  readonly shaftSwitch: boolean;
  /** A start capacitor on the motor, in line with that switch. */
  readonly startMicrofarads: number | null;
  /** A run capacitor on the motor beside both, which stays in line with the start winding for good. */
  readonly runBesideMicrofarads?: number | null;
}

/** A motor's own branches, its fields and what moves inside it. */
export interface MotorBranches {
  readonly branches: readonly Branch[];
  readonly fields: readonly RotorField[];
  readonly contacts: readonly StartContact[];
}

const PROTECTOR_BRANCH = "protector";
/** Speeds of a start switch, shares of synchronous: the usual of the trade. */
const SWITCH_OPENS_AT = 0.75;
const SWITCH_CLOSES_AT = 0.5;
/** A shading ring, or what starts a motor whose start parts never come out: its axis, its turns beside those a start winding would have, and ohms beside a main coil's. */
const RING = { axisDegrees: 50, turnsShare: 0.28, ohmsShare: 0.35 } as const;
/** Of its turns, what a start winding laid for two pole counts has in either. */
const BOTH_SHARE = 0.8;
/** Section of a speed section's wire beside the main's, as a rule. */
export const SPEED_WIRE_SHARE = 0.6;
/** Own loss of a capacitor, as a share of its reactance: electrolytic and film. */
export const START_CAPACITOR_LOSS = 0.06;
export const RUN_CAPACITOR_LOSS = 0.002;

/**
 * The branches of a motor. Coils of one axis and pole count add their turns; a speed section has turns by its ohms. A start winding of a pole-changing motor serves either pole count, with the greater part of its turns. A
 * single-phase motor without a start winding of its own gets a shorted ring beside its main, or it would never start; one
 * of two pole counts gets one for each.
 *
 * @param hertz of the supply, where that is not what the parameters are for.
 */
export function motorBranches(
  motor: WoundMotor,
  rated: MotorParameters,
  gear: StartGear,
  hertz: number = rated.hertz,
): MotorBranches {
  const p = atHertz(rated, hertz);
  const main = mainCoil(motor);
  const mainOhms = main?.ohms ?? 1;
  const chains = startChains(motor.coils);
  const contacts: StartContact[] = [];
  const branches: Branch[] = [];
  const slow = motor.coils.some(({ seat }) => seat.field === 1);
  // One switch serves both speeds, so it has to open under the slower one.
  const slowest = slow ? p.poles[0] / p.poles[1] : 1;
  for (const coil of motor.coils) {
    const turns = turnsOf(coil, motor, p);
    const chain = chains.find((one) => one.includes(coil));
    // What takes a start winding out sits once in a row of its parts, before the first.
    const geared = gear.shaftSwitch && chain?.[0] === coil;
    if (!chain || !(geared || (slow && coil.seat.field === "both"))) {
      branches.push(
        winding(coil, coil.id, coil.from, coil.to, coil.ohms, turns, p, coil.seat.field === 1 ? 1 : 0),
      );
      continue;
    }
    let at = coil.from;
    if (geared) {
      const id = `${coil.id}-switch`;
      branches.push({ kind: "switch", id, from: at, to: `${coil.id}~a`, closed: true });
      contacts.push({
        kind: "centrifugal",
        branch: id,
        opensAt: SWITCH_OPENS_AT * slowest,
        closesAt: SWITCH_CLOSES_AT * slowest,
      });
      at = `${coil.id}~a`;
      if (gear.startMicrofarads !== null) {
        branches.push(
          // Rows side by side share what the plate names for them all.
          capacitor(
            `${coil.id}-capacitor`,
            at,
            `${coil.id}~b`,
            gear.startMicrofarads / chains.length,
            p.hertz,
            true,
          ),
        );
        at = `${coil.id}~b`;
      }
      if (gear.runBesideMicrofarads)
        branches.push(
          capacitor(
            `${coil.id}-run-capacitor`,
            coil.from,
            at,
            gear.runBesideMicrofarads / chains.length,
            p.hertz,
          ),
        );
    }
    if (coil.seat.field === "both") {
      branches.push(winding(coil, coil.id, at, `${coil.id}~c`, coil.ohms / 2, BOTH_SHARE * turns, p, 0));
      branches.push(
        winding(coil, `${coil.id}~slow`, `${coil.id}~c`, coil.to, coil.ohms / 2, BOTH_SHARE * turns, p, 1),
      );
    } else branches.push(winding(coil, coil.id, at, coil.to, coil.ohms, turns, p, 0));
  }
  if (motor.protector)
    branches.push({ kind: "switch", id: PROTECTOR_BRANCH, ...motor.protector, closed: motor.hot !== true });
  if (feedingOf(motor).phases === 1 && main && !turnsRound(motor.coils))
    for (const field of slow ? [0, 1] : [0]) branches.push(ring(mainOhms, p, field));
  return { branches, fields: fieldsOf(p, slow), contacts };
}

/** The coil that has one turn: the first main, half or phase. */
export function mainCoil({ coils }: Pick<WoundMotor, "coils">): Coil | undefined {
  return coils.find(({ winding }) => winding !== "start" && winding !== "speed");
}

function atHertz(p: MotorParameters, hertz: number): MotorParameters {
  const by = hertz / p.hertz;
  return {
    ...p,
    hertz,
    magnetisingOhms: p.magnetisingOhms * by,
    leakageOhms: p.leakageOhms * by,
    rotorReactanceOhms: p.rotorReactanceOhms * by,
  };
}

/** A capacitor with its own loss. */
export function capacitor(
  id: string,
  from: string,
  to: string,
  microfarads: number,
  hertz: number,
  start = false,
): Branch {
  const reactance = 1e6 / (2 * Math.PI * hertz * microfarads);
  const loss = start ? START_CAPACITOR_LOSS : RUN_CAPACITOR_LOSS;
  return {
    kind: "capacitor",
    id,
    from,
    to,
    microfarads,
    seriesOhms: Math.max(loss * reactance, CONTACT_OHMS),
  };
}

/** Turns of a speed section beside a main of one turn: its wire is thinner, so it has fewer turns than its ohms would say. */
function speedTurns(ohms: number, mainOhms: number, wireShare = SPEED_WIRE_SHARE): number {
  return (wireShare * ohms) / mainOhms;
}

/** Effective turns of a coil, a main coil having one; parts of a start winding in a row share its turns by their ohms. */
export function turnsOf(coil: Coil, { coils }: Pick<WoundMotor, "coils">, p: MotorParameters): number {
  if (coil.winding === "speed")
    return speedTurns(coil.ohms, mainCoil({ coils })?.ohms ?? 1, p.speedWireShare);
  if (coil.winding !== "start") return 1;
  const row = startChains(coils).find((chain) => chain.includes(coil)) ?? [coil];
  return (p.startTurns * coil.ohms) / row.reduce((sum, { ohms }) => sum + ohms, 0);
}

/** The start winding's parts by the rows they form: parts that share a junction are one after the other, others side by side. */
export function startChains(coils: readonly Coil[]): Coil[][] {
  const chains: Coil[][] = [];
  for (const coil of coils) {
    if (coil.winding !== "start") continue;
    const ends = [coil.from, coil.to];
    const chain = chains.find((one) => one.some(({ from, to }) => ends.includes(from) || ends.includes(to)));
    if (chain) chain.push(coil);
    else chains.push([coil]);
  }
  return chains;
}

function winding(
  coil: Coil,
  id: string,
  from: string,
  to: string,
  ohms: number,
  turns: number,
  p: MotorParameters,
  field: number,
): Branch {
  // In line with a main of one turn, a section of n turns brings that main's leakage from 1² to (1 + n)².
  const leakageTurns = coil.winding === "speed" ? turns * (2 + turns) : turns * turns;
  return {
    kind: "winding",
    id,
    from,
    to,
    ohms,
    leakageOhms: p.leakageOhms * leakageTurns,
    field,
    place: { axisDegrees: coil.seat.axisDegrees, turns },
  };
}

/** Coils on more than one axis make a turning field by themselves. */
function turnsRound(coils: readonly Coil[]): boolean {
  return new Set(coils.map(({ seat }) => ((seat.axisDegrees % 180) + 180) % 180)).size > 1;
}

function ring(mainOhms: number, p: MotorParameters, field: number): Branch {
  const turns = RING.turnsShare * p.startTurns;
  return {
    kind: "winding",
    id: field === 0 ? "ring" : "ring~slow",
    // Closed in itself: where it is drawn moves no current anywhere else.
    from: GROUND,
    to: GROUND,
    ohms: RING.ohmsShare * Math.max(mainOhms, p.rotorOhms),
    leakageOhms: p.leakageOhms * turns ** 2,
    field,
    place: { axisDegrees: RING.axisDegrees, turns },
  };
}

/** The slow field of a pole-changing motor is taken to be built like the fast one. */
function fieldsOf(
  { poles, magnetisingOhms, rotorOhms, rotorReactanceOhms }: MotorParameters,
  slow: boolean,
): RotorField[] {
  const field = (count: number) => ({
    poles: count,
    magnetisingOhms,
    rotorOhms,
    rotorReactanceOhms,
  });
  return slow ? [field(poles[0]), field(poles[1])] : [field(poles[0])];
}
