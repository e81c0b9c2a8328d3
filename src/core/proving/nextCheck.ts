import { hungMotor, leadEnd, stateCircuit } from "../wiring/stateCircuit";
import { type Belief, type Believed, foreseen } from "./belief";
import { ampsIn, LIVE_SHARE } from "./callRun";
import { alike } from "./gaussian";
import { needsPower, type PRESSURE_AT } from "./observation";
import type { ProvingCall, ProvingCase } from "./provingCase";
import { meterVariance, type Reading, readingKey, unweighed } from "./reading";
import { type How, startChances, TURN_SURE, turnUnder } from "./seen";
import type { Sight } from "./sight";
import { AS_PLANNED } from "./suspects";

/** Something that can be asked for. */
export type Check =
  | Reading
  | { readonly what: "starts"; readonly call: string }
  | { readonly what: "turn"; readonly call: string }
  | { readonly what: "insulation"; readonly lead: string }
  | { readonly what: "pressure"; readonly call: string; readonly at: (typeof PRESSURE_AT)[number] };

/** A check with what it would tell. */
export interface WeighedCheck {
  readonly check: Check;
  /** Expected information, nats: what it would clear up between the causes. */
  readonly tells: number;
  readonly power: "on" | "off";
}

/** Minutes and danger of a check, one for the quickest clamp; probing live terminals is dearer than a clamp. */
const EFFORT: Readonly<Record<Check["what"], number>> = {
  starts: 0.7,
  turn: 0.7,
  "line-amps": 1,
  "capacitor-amps": 1.2,
  "start-amps": 1.4,
  "supply-volts": 1.4,
  rpm: 1.6,
  "capacitor-volts": 1.9,
  "capacitor-microfarads": 1.5,
  ohms: 1.6,
  insulation: 2.2,
  pressure: 1,
};

/** How much dearer it is to put power on a motor that stands. */
const STANDING_DANGER = 2;

/** Whether a check needs the power on. */
export function powerOf({ what }: Pick<Check, "what">): "on" | "off" {
  return needsPower({ what }) ? "on" : "off";
}

/** Beliefs that take part in choosing. */
const LEAST_BELIEF = 0.002;
/** The same where little is wanting until all is good: many small doubts are one large. */
const LEAST_BELIEF_NEAR_GOOD = 0.0003;
const MOST_BELIEVED = 14;
/** Ohms are asked of this many pairs of places at the most. */
const MOST_OHMS = 10;

/**
 * Every check that could be made there, each weighed by what it would tell; the best for its effort first.
 *
 * @param closely whether what is hardly believed takes part as well.
 */
export function checksOf(made: ProvingCase, sight: Sight, belief: Belief, closely: boolean): WeighedCheck[] {
  const least = closely ? LEAST_BELIEF_NEAR_GOOD : LEAST_BELIEF;
  const alive = belief.believed.filter(({ probability }) => probability > least).slice(0, MOST_BELIEVED);
  const done = new Set(belief.standing.figures.map(({ reading }) => readingKey(reading)));
  const told = new Set(belief.standing.told.map(({ kind, call }) => `${kind}/${call}`));
  const figures = readingsOf(made, sight)
    .filter((reading) => !done.has(readingKey(reading)))
    .filter((reading) => reading.what !== "rpm" || !standsStill(belief.standing, reading.call))
    .map((check) => ({ check, tells: figureTells(made, sight, alive, check) }));
  const seen = made.calls.flatMap((call) => [
    ...(told.has(`starts/${call.state.id}`)
      ? []
      : [
          {
            check: { what: "starts", call: call.state.id } as const,
            tells: startTells(made, sight, alive, call),
          },
        ]),
    ...(told.has(`turn/${call.state.id}`) || standsStill(belief.standing, call.state.id)
      ? []
      : [
          {
            check: { what: "turn", call: call.state.id } as const,
            tells: turnTells(made, sight, alive, call),
          },
        ]),
  ]);
  // What hums or does nothing is read with the power off first.
  const stands = belief.standing.told.some((one) => one.kind === "starts" && one.how !== "itself");
  const worth = ({ check, tells }: { readonly check: Check; readonly tells: number }) =>
    tells / EFFORT[check.what] / (stands && powerOf(check) === "on" ? STANDING_DANGER : 1);
  return [...seen, ...figures]
    .map((one) => ({ ...one, power: powerOf(one.check) }))
    .sort((a, b) => worth(b) - worth(a));
}

/** Whether the motor was seen to stand under a call: there is no turn to see then. */
export function standsStill({ told }: Belief["standing"], call: string): boolean {
  return told.some(
    (one) => one.kind === "starts" && one.call === call && (one.how === "hums" || one.how === "not-at-all"),
  );
}

const kept = new WeakMap<Sight, readonly Reading[]>();

/** Every figure that can be read there. */
export function readingsOf(made: ProvingCase, sight: Sight): readonly Reading[] {
  const known = kept.get(sight) ?? everyReading(made, sight);
  kept.set(sight, known);
  return known;
}

function everyReading(made: ProvingCase, sight: Sight): Reading[] {
  // A start capacitor is out again once it runs: its value is read, not what it carries.
  const serving = made.capacitors.filter(({ serves, start }) => serves && !start);
  const { terminals } = made.plan.compartment.supply;
  const lines = terminals.flatMap((one, i) => terminals.slice(i + 1).map((other) => [one, other] as const));
  return [
    ...made.calls.flatMap(({ state }): Reading[] => {
      const call = state.id;
      const run = sight.run(AS_PLANNED, call);
      const live = made.motor.leads.filter(
        ({ id }) => run !== null && (ampsIn(run, run.rest, id) ?? 0) > LIVE_SHARE * made.fitted.rating.amps,
      );
      // What goes out again once it runs shows at power alone.
      const started = run !== null && run.made.contacts.length > 0;
      return [
        ...live.map(({ id }): Reading => ({ what: "line-amps", call, lead: id })),
        ...serving.flatMap(({ at }): Reading[] => [
          { what: "capacitor-amps", call, at },
          { what: "capacitor-volts", call, at },
        ]),
        ...(started ? live.map(({ id }): Reading => ({ what: "start-amps", call, lead: id })) : []),
        { what: "rpm", call },
        ...lines.map((between): Reading => ({ what: "supply-volts", call, between })),
      ];
    }),
    ...made.capacitors.map(({ at }): Reading => ({ what: "capacitor-microfarads", at })),
    ...ohmsPairs(made, sight),
  ];
}

/** Pairs of the motor's leads that are not joined as the wires lie; those first between which fewest windings lie. */
function ohmsPairs({ motor, plan, fitted, calls: [call] }: ProvingCase, sight: Sight): Reading[] {
  if (!call) return [];
  const { nodeOf } = stateCircuit(plan, hungMotor(plan, motor, fitted), call.state);
  const byNode = new Map(motor.leads.map(({ id }) => [nodeOf(leadEnd(id)), id]));
  const ids = [...byNode.values()];
  return ids
    .flatMap((one, i) => ids.slice(i + 1).map((other): Reading => ({ what: "ohms", between: [one, other] })))
    .map((reading) => ({ reading, ohms: sight.value(AS_PLANNED, reading) ?? Number.POSITIVE_INFINITY }))
    .sort((a, b) => (a.ohms === b.ohms ? 0 : a.ohms - b.ohms))
    .slice(0, MOST_OHMS)
    .map(({ reading }) => reading);
}

/**
 * What a figure would tell: mutual information of cause and figure, estimated from the pairwise likeness of the bell
 * curves (−Σp·ln Σp·BC, a lower bound for mixtures: Kolchinsky & Tracey, Entropy 2017); degrees of one cause count as one.
 */
function figureTells(made: ProvingCase, sight: Sight, alive: readonly Believed[], reading: Reading): number {
  const { rating } = made.fitted;
  const curves = alive.map((one) => {
    const curve = foreseen(sight, one, reading);
    if (!curve) return null;
    const value = unweighed(reading.what, curve.mean, rating);
    return { ...curve, variance: curve.variance + meterVariance(reading.what, value, rating, undefined) };
  });
  return information(alive, (i, j) => {
    const [one, other] = [curves[i], curves[j]];
    return one && other ? alike(one, other) : 1;
  });
}

function startTells(made: ProvingCase, sight: Sight, alive: readonly Believed[], call: ProvingCall): number {
  const chances = alive.map(({ suspect }) => {
    const run = sight.run(suspect, call.state.id);
    return run ? startChances(made, run) : null;
  });
  return information(alive, (i, j) => {
    const [one, other] = [chances[i], chances[j]];
    if (!one || !other) return 1;
    return (Object.keys(one) as How[]).reduce((sum, how) => sum + Math.sqrt(one[how] * other[how]), 0);
  });
}

function turnTells(made: ProvingCase, sight: Sight, alive: readonly Believed[], call: ProvingCall): number {
  const ways = alive.map(({ suspect }) => turnUnder(made, call, sight, suspect, 1));
  return information(alive, (i, j) => {
    const [one, other] = [ways[i], ways[j]];
    if (!one || !other) return 1;
    const chance = (way: string) => (way === "cw-lead-end" ? TURN_SURE : 1 - TURN_SURE);
    return Math.sqrt(chance(one) * chance(other)) + Math.sqrt((1 - chance(one)) * (1 - chance(other)));
  });
}

/** Expected information about the cause, by how alike two suspects are before an instrument. */
function information(alive: readonly Believed[], likeness: (i: number, j: number) => number): number {
  const total = alive.reduce((sum, { probability }) => sum + probability, 0);
  let tells = 0;
  alive.forEach((one, i) => {
    let together = 0;
    alive.forEach((other, j) => {
      const same =
        other.suspect.cause === one.suspect.cause && other.suspect.at.join() === one.suspect.at.join();
      together += (other.probability / total) * (same ? 1 : likeness(i, j));
    });
    tells -= (one.probability / total) * Math.log(Math.max(together, 1e-12));
  });
  return tells;
}
