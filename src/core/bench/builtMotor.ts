import { abs, ZERO } from "../machine/complex";
import { type FedMotor, type Feed, fedMotor } from "../machine/fedMotor";
import { feedingOf } from "../machine/feedingOf";
import { synchronousRadians } from "../machine/field";
import type { FittedMotor } from "../machine/fitMotor";
import { type MotorParameters, mainCoil, type StartGear } from "../machine/motorBranches";
import { operatingPoint } from "../machine/operatingPoint";
import { ratingOf, turningField } from "../machine/rating";
import { solve } from "../machine/solve";
import { type KnownMotor, type WoundMotor, woundMotor } from "../machine/woundMotor";
import type { Variant } from "../motor/family";
import type { Plate } from "../motor/plate/plate";
import { boardNumber } from "../motor/slot";
import { knownOf } from "./platedMotor";
import { logUniform, pick, type Random } from "./random";
import { randomMotor } from "./randomMotor";

/**
 * A motor built the other way about: its iron and rotor drawn first, its plate read off how it then runs. What is fitted
 * to such a plate can be held against what the motor truly is.
 */
export interface BuiltMotor {
  readonly known: KnownMotor;
  readonly leads: readonly { readonly id: string; readonly mark?: string }[];
  readonly plate: Plate;
  /** What it truly is: the motor with its marks, and its own parameters in place of fitted ones. */
  readonly motor: WoundMotor;
  readonly truth: FittedMotor;
}

/** Ranges that the parts of a small motor are drawn from, per unit of the coil's volts and its rated amps. */
const DRAWN = {
  copper: { 1: [0.05, 0.14], 3: [0.03, 0.09] },
  magnetising: { 1: [1.1, 2.6], 3: [1.3, 3] },
  rotor: { 1: [0.05, 0.2], 3: [0.03, 0.1] },
  leakage: { 1: [0.07, 0.2], 3: [0.06, 0.16] },
  slip: [0.025, 0.12],
  turns: [0.9, 1.8],
} as const;
const MOST_DRAWS = 3000;
/** A motor that a maker would sell: torque at rest and at its best beside the rated one. */
const LEAST_PULL = { ring: 0.15, "run-capacitor": 0.25, "shaft-switch": 1.1, lines: 1.1 } as const;
const LEAST_BEST = 1.5;
/** Of the volt-amperes it takes what its shaft gives, watts: shaded poles are the poorest. Under this load and drag are nothing beside its losses. */
const LEAST_USE = { ring: 0.08, "run-capacitor": 0.2, "shaft-switch": 0.2, lines: 0.3 } as const;

/**
 * @param volts between lines, at the high setting of a motor with two.
 * @throws RangeError where no motor comes of {@link MOST_DRAWS} draws.
 */
export function builtMotor(
  random: Random,
  family: string,
  leadCount: number,
  volts: number,
  hertz: 50 | 60 = 60,
  keep: (build: Variant) => boolean = (build) => !build.unusual,
): BuiltMotor {
  for (let draw = 0; draw < MOST_DRAWS; draw++) {
    const made = drawn(random, family, leadCount, volts, hertz, keep);
    if (made) return made;
  }
  throw new RangeError(`no ${family} with ${leadCount} leads came of ${MOST_DRAWS} draws`);
}

function drawn(
  random: Random,
  family: string,
  leadCount: number,
  volts: number,
  hertz: 50 | 60,
  keep: (build: Variant) => boolean,
): BuiltMotor | null {
  const virtual = randomMotor(random, family, leadCount, keep);
  const known = scaled(knownOf(virtual), volts, random);
  const leads = boardMarked(known, virtual.leads);
  const motor = leads && woundMotor(known, leads);
  if (!leads || !motor) return null;
  const kind = turningField(motor);
  const parameters = drawnParameters(random, motor, hertz);
  const startMicrofarads = kind === "shaft-switch" ? usualStart(motor, volts, hertz) : null;
  const gear: StartGear = { shaftSwitch: feedingOf(motor).shaftSwitch, startMicrofarads };
  const slip = logUniform(random, ...DRAWN.slip);
  const feed = (runMicrofarads: number | null): Feed => ({
    ask: { speed: 1, setting: "high", reversed: false },
    volts,
    runMicrofarads,
  });
  const runMicrofarads = kind === "run-capacitor" ? balanced(motor, parameters, gear, feed, slip) : null;
  const fed = fedMotor(motor, parameters, gear, feed(runMicrofarads));
  const figures = fed && figuresOf(fed, { motor, parameters, slip, volts, hertz });
  if (!figures) return null;
  const { ratedNm, rpm, amps, watts } = figures;
  const plate = plateOf(random, motor, { ...figures, volts, hertz, runMicrofarads, startMicrofarads });
  return {
    known,
    leads,
    plate,
    motor,
    truth: {
      parameters,
      gear,
      ratedNm,
      met: [],
      rating: { ...ratingOf(motor, plate, volts, hertz), rpm, amps, watts, startMicrofarads, runMicrofarads },
    },
  };
}

/** The leads of a motor with the numbers that stand on those of a board; null where it has no winding to run. */
function boardMarked(
  known: KnownMotor,
  leads: readonly { readonly id: string }[],
): BuiltMotor["leads"] | null {
  const unmarked = woundMotor(known, leads);
  const marked = unmarked?.leads.map(({ id, slot }) =>
    boardNumber(slot) === null ? { id } : { id, mark: slot },
  );
  return marked ?? null;
}

/** Iron and rotor per unit of the main coil's ohms, by how many coils share a field. */
function drawnParameters(random: Random, motor: WoundMotor, hertz: 50 | 60): MotorParameters {
  const between = ([from, to]: readonly [number, number]) => logUniform(random, from, to);
  const { phases } = feedingOf(motor);
  const kind = turningField(motor);
  const poles = pick(random, kind === "run-capacitor" || kind === "ring" ? [4, 6, 8] : [2, 4, 6]);
  const mains = motor.coils.filter(
    ({ winding, seat }) => winding !== "start" && winding !== "speed" && seat.field !== 1,
  );
  const axes = new Set(mains.map(({ seat }) => ((seat.axisDegrees % 180) + 180) % 180)).size;
  const sharing = (mains.length / Math.max(1, axes)) * (phases === 3 ? 1.5 : 1);
  const base = (mainCoil(motor)?.ohms ?? 1) / between(DRAWN.copper[phases]);
  return {
    hertz,
    poles: [poles, poles + 2],
    magnetisingOhms: (between(DRAWN.magnetising[phases]) * base) / sharing,
    rotorOhms: (between(DRAWN.rotor[phases]) * base) / sharing,
    leakageOhms: between(DRAWN.leakage[phases]) * base,
    rotorReactanceOhms: (between(DRAWN.leakage[phases]) * base) / sharing,
    startTurns: between(DRAWN.turns),
    frictionNm: 0,
  };
}

function usualStart(motor: WoundMotor, volts: number, hertz: 50 | 60): number | null {
  const plate: Plate = { volts: [{ low: volts, high: volts }], hertz: [hertz] };
  return ratingOf(motor, plate, volts, hertz).startMicrofarads;
}

/** How a motor runs at its rated slip. */
interface Figures {
  readonly ratedNm: number;
  readonly rpm: number;
  readonly amps: number;
  readonly watts: number;
  readonly lockedAmps: number;
  readonly capacitorVolts: number;
}

/** The figures of a motor fed as its chart says; null where no maker would sell it. */
function figuresOf(
  { machine, contacts }: FedMotor,
  {
    motor,
    parameters: {
      poles: [poles],
    },
    slip,
    volts,
    hertz,
  }: {
    readonly motor: WoundMotor;
    readonly parameters: MotorParameters;
    readonly slip: number;
    readonly volts: number;
    readonly hertz: 50 | 60;
  },
): Figures | null {
  const kind = turningField(motor);
  const moving = new Set(contacts.map(({ branch }) => branch));
  const running = {
    ...machine,
    branches: machine.branches.map((b) =>
      b.kind === "switch" && moving.has(b.id) ? { ...b, closed: false } : b,
    ),
  };
  const run = solve(running, slip);
  const ratedNm = run?.torqueNm ?? 0;
  const best = Math.max(...[0.12, 0.18, 0.25, 0.35].map((s) => solve(running, s)?.torqueNm ?? 0));
  const rest = solve(machine, 1);
  if (!run || !rest || ratedNm <= 0) return null;
  if (best < LEAST_BEST * ratedNm || rest.torqueNm < LEAST_PULL[kind] * ratedNm) return null;
  const rpm = ((1 - slip) * 120 * hertz) / poles;
  const amps = abs(run.branches.get("line-1")?.amps ?? ZERO);
  const watts = ratedNm * (1 - slip) * synchronousRadians(poles, hertz);
  const voltAmperes = volts * amps * Math.sqrt(feedingOf(motor).phases);
  if (watts < LEAST_USE[kind] * voltAmperes) return null;
  const point = operatingPoint(machine, { kind: "fan", newtonMetres: ratedNm, atRpm: rpm }, contacts);
  if (point?.outcome !== "runs" || Math.abs(point.rpm / rpm - 1) > 0.02) return null;
  return {
    ratedNm,
    rpm,
    amps,
    watts,
    lockedAmps: abs(rest.branches.get("line-1")?.amps ?? ZERO),
    capacitorVolts: abs(run.branches.get("run-capacitor")?.volts ?? ZERO),
  };
}

/** Plates that give the locked-rotor amps. */
const LOCKED_ON_PLATE = 0.4;

/** What a plate says of the figures, rounded as plates are. */
function plateOf(
  random: Random,
  motor: WoundMotor,
  of: Figures & {
    readonly volts: number;
    readonly hertz: 50 | 60;
    readonly runMicrofarads: number | null;
    readonly startMicrofarads: number | null;
  },
): Plate {
  const { phases, twoVoltages, settingRatio = 2 } = feedingOf(motor);
  const { volts, amps, runMicrofarads, startMicrofarads } = of;
  const settings = twoVoltages ? [volts / settingRatio, volts] : [volts];
  return {
    volts: settings.map((v) => ({ low: Math.round(v), high: Math.round(v) })),
    hertz: [of.hertz],
    phase: phases,
    rpm: Math.round(of.rpm / 5) * 5,
    powerWatts: [rounded(of.watts)],
    fullLoadAmps: twoVoltages ? [rounded(amps * settingRatio), rounded(amps)] : [rounded(amps)],
    ...(runMicrofarads === null
      ? {}
      : { runCapacitor: { microfarads: runMicrofarads, volts: of.capacitorVolts > 400 ? 440 : 370 } }),
    ...(startMicrofarads === null
      ? {}
      : {
          startCapacitor: {
            lowMicrofarads: rounded(startMicrofarads / 1.1),
            highMicrofarads: rounded(startMicrofarads * 1.1),
          },
        }),
    ...(random() < LOCKED_ON_PLATE && !twoVoltages ? { lockedRotorAmps: rounded(of.lockedAmps) } : {}),
  };
}

/** Amps of a main coil that a small motor has, at the coil's volts and per unit of copper drop: from these its ohms follow. */
const COIL_AMPS = [0.8, 9] as const;
const COPPER_DROP = 0.09;

/** The motor with its ohms brought to those of a motor of a usual power on such volts, ratios as they were drawn. */
function scaled(known: KnownMotor, volts: number, random: Random): KnownMotor {
  const first = known.sections[0]?.ohms ?? 1;
  const times = (COPPER_DROP * volts) / logUniform(random, ...COIL_AMPS) / first;
  return {
    ...known,
    sections: known.sections.map((section) => ({ ...section, ohms: section.ohms * times })),
  };
}

/** The microfarads, of steps of a tenth, whose backward torque is the least beside the forward one at a slip. */
function balanced(
  motor: WoundMotor,
  p: MotorParameters,
  gear: StartGear,
  feed: (microfarads: number) => Feed,
  slip: number,
): number {
  const steps = Array.from({ length: 45 }, (_, i) => rounded(1.5 * 1.1 ** i));
  const efficiency = (microfarads: number) => {
    const fed = fedMotor(motor, p, gear, feed(microfarads));
    const run = fed && solve(fed.machine, slip);
    return run ? run.power.mechanical / Math.max(run.power.input, 1e-9) : 0;
  };
  return steps.reduce((a, b) => (efficiency(b) > efficiency(a) ? b : a));
}

/** Two digits, as plates have them. */
function rounded(value: number): number {
  return Number(value.toPrecision(2));
}
