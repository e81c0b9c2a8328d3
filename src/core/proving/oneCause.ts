import { synchronousRpm } from "../motor/plate/nominalSpeed";
import { type Belief, type Believed, foreseen } from "./belief";
import { ampsIn, type CallRun, carriesLine } from "./callRun";
import type { Cause } from "./causes";
import { alike } from "./gaussian";
import { amps, LEAST_AMPS } from "./limits";
import { readingsOf } from "./nextCheck";
import type { ProvingCase } from "./provingCase";
import { meterVariance, unweighed, weighed } from "./reading";
import { startChances, turnAsPlanned, turnUnder } from "./seen";
import type { Sight } from "./sight";
import type { Suspect } from "./suspect";
import { AS_PLANNED } from "./suspects";

/** Causes that are listed have at least this. */
export const LISTED = 0.005;

/** Causes that are one: degrees of the same, and others that nothing there can tell from it. */
export interface CauseGroup {
  readonly cause: Cause;
  readonly at: readonly string[];
  readonly members: readonly Believed[];
  readonly same: readonly { readonly cause: Cause; readonly at: readonly string[] }[];
  readonly probability: number;
}

export function grouped(made: ProvingCase, sight: Sight, { believed }: Belief): CauseGroup[] {
  const byName = new Map<string, Believed[]>();
  for (const one of believed) {
    const key = `${one.suspect.cause}\n${one.suspect.at.join("\n")}`;
    byName.set(key, [...(byName.get(key) ?? []), one]);
  }
  const alone = [...byName.values()]
    .map((members): CauseGroup => {
      const [first] = members as [Believed];
      const { cause, at } = first.suspect;
      return { cause, at, members, same: [], probability: sumOf(members) };
    })
    .sort((a, b) => b.probability - a.probability);
  const groups: CauseGroup[] = [];
  for (const group of alone) {
    const twin =
      group.cause === "as-planned" || group.probability < LISTED
        ? undefined
        : groups.find(
            (one) =>
              one.cause !== "as-planned" && one.probability >= LISTED && areOne(made, sight, one, group),
          );
    if (!twin) {
      groups.push(group);
      continue;
    }
    groups[groups.indexOf(twin)] = {
      ...twin,
      same: [...twin.same, { cause: group.cause, at: group.at }],
      probability: twin.probability + group.probability,
    };
  }
  return groups.sort((a, b) => b.probability - a.probability);
}

export function sumOf(members: readonly Believed[]): number {
  return members.reduce((sum, { probability }) => sum + probability, 0);
}

/** How alike two machines must be before every instrument to count as one. */
const ONE = 0.97;

function areOne(made: ProvingCase, sight: Sight, a: CauseGroup, b: CauseGroup): boolean {
  const [one, other] = [a.members[0] as Believed, b.members[0] as Believed];
  const { rating } = made.fitted;
  const sameSeen = made.calls.every((call) => {
    const [r, s] = [sight.run(one.suspect, call.state.id), sight.run(other.suspect, call.state.id)];
    if (!r || !s) return r === s;
    const [p, q] = [startChances(made, r), startChances(made, s)];
    const likeness = (Object.keys(p) as (keyof typeof p)[]).reduce(
      (sum, how) => sum + Math.sqrt(p[how] * q[how]),
      0,
    );
    return (
      likeness > ONE &&
      turnUnder(made, call, sight, one.suspect, 1) === turnUnder(made, call, sight, other.suspect, 1)
    );
  });
  return (
    sameSeen &&
    readingsOf(made, sight).every((reading) => {
      const [x, y] = [foreseen(sight, one, reading), foreseen(sight, other, reading)];
      if (!x || !y) return x === y;
      const meter = meterVariance(reading.what, unweighed(reading.what, x.mean, rating), rating, undefined);
      return alike({ ...x, variance: x.variance + meter }, { ...y, variance: y.variance + meter }) > ONE;
    })
  );
}

/**
 * What is in truth as planned is counted so: two leads of one potential changed over harm nothing, and a load that leaves
 * the motor at its plate's amps and speed is none too heavy, nor too light.
 */
export function withoutHarmless(made: ProvingCase, sight: Sight, belief: Belief): Belief {
  const sound = belief.believed.find(({ suspect }) => suspect === AS_PLANNED);
  if (!sound) return belief;
  const harmless = belief.believed.filter(
    (one) =>
      one.suspect.cause !== "as-planned" &&
      one.probability > HARMLESS_LOOKED_AT &&
      (isAsPlanned(made, sight, one.suspect, one.probability < sound.probability) ||
        isCarried(made, sight, one)),
  );
  if (harmless.length === 0) return belief;
  return {
    ...belief,
    believed: belief.believed
      .filter((one) => !harmless.includes(one))
      .map((one) => (one === sound ? { ...one, probability: one.probability + sumOf(harmless) } : one))
      .sort((a, b) => b.probability - a.probability),
  };
}

/**
 * Whether another load leaves the motor where its plate has it, after all that was read: its speed near the planned one, and
 * its amps, of a heavier one, within the plate's, of a lighter not under 0.7 of them, by the leads that carry the line's, or
 * where none does by the one that carries most, beside what it is to carry. Amps alone do not tell: in many a small motor they hardly move with the load.
 */
function isCarried(made: ProvingCase, sight: Sight, one: Believed): boolean {
  if (one.suspect.cause !== "load-heavy" && one.suspect.cause !== "load-light") return false;
  const { rating } = made.fitted;
  const plate = amps(rating, made.plan.lands.setting);
  return made.calls.every(({ state }) => {
    const run = sight.run(AS_PLANNED, state.id);
    if (!run || !isNearSpeed(made, sight, one, run, state.id)) return false;
    const shares = made.motor.leads.map(({ id }) => ({
      id,
      amps: ampsIn(run, run.point.solution, id) ?? 0,
      carriesAll: carriesLine(made.plan, run, id),
    }));
    const lined = shares.filter(({ carriesAll }) => carriesAll);
    const most = shares.reduce((best, share) => (share.amps > best.amps ? share : best), shares[0] ?? NONE);
    return (lined.length > 0 ? lined : [most]).every((share) => {
      const curve = foreseen(sight, one, { what: "line-amps", call: state.id, lead: share.id });
      const is = curve === null ? Number.NaN : unweighed("line-amps", curve.mean, rating);
      const top = share.carriesAll ? plate : share.amps;
      // Other calls than the fastest carry less than the plate's as it is.
      return one.suspect.cause === "load-heavy" ? is <= top : is >= LEAST_AMPS * Math.min(top, share.amps);
    });
  });
}

/** Slip beside the planned one, within which a motor has to turn about what it was made for. */
const SLIP_CARRIED = { least: 0.7, most: 1.4 } as const;

function isNearSpeed(
  made: ProvingCase,
  sight: Sight,
  one: Believed,
  planned: CallRun,
  call: string,
): boolean {
  const curve = foreseen(sight, one, { what: "rpm", call });
  if (!curve) return false;
  const { rating } = made.fitted;
  const slip = (rpm: number) => synchronousRpm(rating.poles, rating.hertz) - rpm;
  const times = slip(unweighed("rpm", curve.mean, rating)) / slip(Math.abs(planned.point.rpm));
  return times >= SLIP_CARRIED.least && times <= SLIP_CARRIED.most;
}

const NONE = { id: "", amps: 0, carriesAll: false };

const HARMLESS_LOOKED_AT = 1e-4;
/** Two machines whose figures agree to a hundredth are one to any meter. */
const NO_MATTER = 0.01;

/**
 * Whether a machine shows nothing that the one as planned does not.
 *
 * @param underPower what only ohms would show is passed over: turns shorted in a winding that no call feeds are no matter
 *   until ohms say so.
 */
function isAsPlanned(made: ProvingCase, sight: Sight, suspect: Suspect, underPower: boolean): boolean {
  if (suspect.change.turned || suspect.change.clamp || suspect.change.stuck) return false;
  const { rating } = made.fitted;
  const near = (reading: Parameters<Sight["value"]>[1]) => {
    const [is, right] = [sight.value(suspect, reading), sight.value(AS_PLANNED, reading)];
    if (is === null || right === null) return is === right;
    return Math.abs(weighed(reading.what, is, rating) - weighed(reading.what, right, rating)) < NO_MATTER;
  };
  const runsAlike = made.calls.every((call) => {
    const [is, right] = [sight.run(suspect, call.state.id), sight.run(AS_PLANNED, call.state.id)];
    if (!is || !right || (is.point.outcome === "stalls") !== (right.point.outcome === "stalls")) return false;
    // Where nothing says which way it has to turn, either way is as planned.
    return is.point.outcome === right.point.outcome || turnAsPlanned(made, call, right) === null;
  });
  const readings = readingsOf(made, sight).filter(({ what }) => what !== "ohms" || !underPower);
  return runsAlike && readings.every(near);
}
