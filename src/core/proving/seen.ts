import { feedingOf } from "../machine/feedingOf";
import type { Rotation } from "../quantity/rotation";
import { ampsIn, type CallRun } from "./callRun";
import type { ProvingObservation, SIGNS, STARTS } from "./observation";
import type { ProvingCall, ProvingCase } from "./provingCase";
import type { Sight } from "./sight";
import type { Suspect } from "./suspect";
import { AS_PLANNED } from "./suspects";

/** What eye, ear and nose tell; none of it is ever quite sure. */
export type How = (typeof STARTS)[number];
export type Sign = (typeof SIGNS)[number];
type Way = Exclude<Rotation, "either">;

/** The least that anything is given: a slip of the tongue. */
const SLIP = 0.0015;
/** Amps beside the plate's under which nothing flows, at which a protector opens, and at which it burns. */
const NOTHING = 0.03;
const PROTECTOR_TIMES = 1.7;
const OVERHEATS_TIMES = 1.25;
const BREAKER_TIMES = 4;
/** How sharp the line is between a start and none, in the logarithm of the torque. */
const START_SPREAD = 0.45;

/** How likely each way of taking the call is under a machine. */
export function startChances(made: ProvingCase, run: CallRun): Readonly<Record<How, number>> {
  const chance = (itself: number, hums: number, again: number, silent: number) =>
    floored({ itself, hums, "stops-again": again, "not-at-all": silent });
  if (run.shorted) return chance(0, 0.03, 0.12, 0.85);
  const times = ampsTimes(made, run);
  if (ampsTimes(made, run, true) < NOTHING) return chance(0, 0.01, 0, 0.99);
  const sure = normalBelow(Math.log(Math.max(run.startTimes, 1e-6)) / START_SPREAD);
  const starts = run.point.outcome === "stalls" ? Math.min(sure, 0.04) : sure;
  const again = times > PROTECTOR_TIMES ? 0.4 : 0.01;
  return chance(
    starts * (1 - again),
    (1 - starts) * 0.93,
    starts * again + (1 - starts) * 0.05,
    (1 - starts) * 0.02,
  );
}

function floored<K extends string>(chances: Readonly<Record<K, number>>): Record<K, number> {
  const keys = Object.keys(chances) as K[];
  const total = keys.reduce((sum, key) => sum + chances[key] + SLIP, 0);
  return Object.fromEntries(keys.map((key) => [key, (chances[key] + SLIP) / total])) as Record<K, number>;
}

/** The greatest amps of any lead beside the plate's. */
export function ampsTimes(made: ProvingCase, run: CallRun, atRest = false): number {
  const solution = atRest ? run.rest : run.point.solution;
  const amps = made.motor.leads.map(({ id }) => ampsIn({ ...run, change: {} }, solution, id) ?? 0);
  return Math.max(0, ...amps) / made.fitted.rating.amps;
}

/** Whether a machine turns the other way than the one as planned; null where either stands. */
export function turnsOver(
  { state }: Pick<ProvingCall, "state">,
  sight: Sight,
  suspect: Suspect,
  air: number,
): boolean | null {
  const [run, right] = [sight.run(suspect, state.id, air), sight.run(AS_PLANNED, state.id, air)];
  if (!run || !right || run.point.outcome === "stalls" || right.point.outcome === "stalls") return null;
  return (run.point.outcome !== right.point.outcome) !== (suspect.change.turned === true);
}

/** Which way it turns under a machine, as far as its leads or the place tell; null where nothing does, or it stands. */
export function turnUnder(
  made: ProvingCase,
  call: ProvingCall,
  sight: Sight,
  suspect: Suspect,
  air: number,
): Way | null {
  const base = turnAsPlanned(made, call, sight.run(AS_PLANNED, call.state.id, air));
  const over = turnsOver(call, sight, suspect, air);
  if (base === null || over === null) return null;
  return over ? otherWay(base) : base;
}

/** The turn that the plan means: as its drawing and leads have it, else as the place needs it. */
export function turnAsPlanned(
  { plan, motor }: ProvingCase,
  { reversed }: ProvingCall,
  right: CallRun | null,
): Way | null {
  const { asDrawn, needed } = plan.lands.turn;
  if (asDrawn && !feedingOf(motor).bumpTells && motor.unproved.length === 0)
    return right?.point.outcome === "runs-backward" ? otherWay(asDrawn) : asDrawn;
  if (!needed) return null;
  return reversed && plan.wanted.some((want) => !want.reversed) ? otherWay(needed) : needed;
}

function otherWay(way: Way): Way {
  return way === "cw-lead-end" ? "ccw-lead-end" : "cw-lead-end";
}

/** What was seen, as from the lead end. */
export function turnSeen({ seen, end }: Extract<ProvingObservation, { what: "turn" }>): Way {
  return (seen === "cw") === (end === "lead") ? "cw-lead-end" : "ccw-lead-end";
}

/** How sure an eye is of a turn. */
export const TURN_SURE = 0.9993;

/** How likely a sign is where a machine runs so, for as long as somebody stands there. */
export function signChance(made: ProvingCase, run: CallRun | null, suspect: Suspect, sign: Sign): number {
  const times = run ? ampsTimes(made, run) : 0;
  const { cause } = suspect;
  const hot = run !== null && (times > OVERHEATS_TIMES || run.shorted);
  switch (sign) {
    case "smoke":
    case "smell":
      return hot || cause === "shorted-turns" ? 0.2 : 0.01;
    case "too-hot":
      return hot ? 0.4 : 0.04;
    case "warm":
      return 0.5;
    case "breaker":
      return run?.shorted || times > BREAKER_TIMES || cause === "capacitor-shorted" ? 0.5 : 0.01;
    case "ground-fault":
      return run?.shorted ? 0.2 : 0.01;
    case "protector":
      return times > PROTECTOR_TIMES ? 0.5 : times > OVERHEATS_TIMES ? 0.2 : 0.01;
    case "rub":
      return cause === "drag" || cause === "shaft-stuck" ? 0.5 : 0.03;
    case "growl":
      return cause === "rotor-bars" || cause === "drag" || cause === "volts-unbalanced" ? 0.35 : 0.04;
    case "click":
      return cause === "start-contact-stays-closed" ? 0.1 : 0.5;
    case "hunting":
    case "silent-module":
      return 0.05;
  }
}

/** The normal distribution below a number of standard deviations (logistic approximation, good to 0.01: Bowling et al.). */
function normalBelow(sigmas: number): number {
  return 1 / (1 + Math.exp(-1.702 * sigmas));
}
