import type { Branch } from "../machine/circuit";
import { abs, type Complex, scale, sub, ZERO } from "../machine/complex";
import { ampsIn, type CallRun, callRun, currentIn, voltsBetween } from "./callRun";
import { deadOhms } from "./deadOhms";
import { leftOpen, type OpenDirection } from "./leftOpen";
import { type FiguredMove, moving } from "./moving";
import type { ProvingCall, ProvingCase } from "./provingCase";
import { type Reading, WEIGHING, weighed } from "./reading";
import type { Change, Suspect } from "./suspect";

/** How the air stands, as a factor on the load. */
export type AirTimes = number;

/** The machines of a case, each run once and kept: what every suspect makes of every call. */
export interface Sight {
  readonly directions: readonly OpenDirection[];
  readonly run: (suspect: Suspect, call: string, air?: AirTimes) => CallRun | null;
  /** The figure alone; null where the place is unknown or the machine has no solution. */
  readonly value: (suspect: Suspect, reading: Reading, air?: AirTimes) => number | null;
  readonly prediction: (suspect: Suspect, reading: Reading, air?: AirTimes) => FiguredMove | null;
}

/** The sight of a case. */
export function sightOf(made: ProvingCase): Sight {
  const directions = leftOpen(made);
  const runs = new Map<Suspect, Map<string, CallRun | null>>();
  const callOf = (id: string): ProvingCall | undefined => made.calls.find(({ state }) => state.id === id);

  /** One machine: the suspect's, moved along a direction, or with more of its own degree. */
  const runAt = (suspect: Suspect, id: string, air: AirTimes, along: number): CallRun | null => {
    const known = runs.get(suspect) ?? new Map<string, CallRun | null>();
    runs.set(suspect, known);
    const key = `${id}/${air}/${along}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const call = callOf(id);
    const change = along === directions.length ? (suspect.severity?.more ?? suspect.change) : suspect.change;
    const near = along < 0 ? null : runAt(suspect, id, air, -1);
    const run = call ? callRun(made, call, change, air, directions[along] ?? null, near) : null;
    known.set(key, run);
    return run;
  };
  const ohmsKept = new Map<Change, Map<string, number>>();
  const ohms = (change: Change, between: readonly [string, string]): number => {
    const known = ohmsKept.get(change) ?? new Map<string, number>();
    ohmsKept.set(change, known);
    const key = between.join("\n");
    const before = known.get(key);
    const [call] = made.calls;
    const value = before ?? (call ? deadOhms(made, call, change, between) : Number.POSITIVE_INFINITY);
    known.set(key, value);
    return value;
  };
  const shown = (suspect: Suspect, reading: Reading, air: AirTimes, along: number): number | null => {
    if (reading.what === "ohms") {
      const more = along === directions.length ? suspect.severity?.more : undefined;
      const copper = directions[along]?.name === "copper" ? COPPER_TIMES : 1;
      return copper * ohms(more ?? suspect.change, reading.between);
    }
    const call = reading.what === "capacitor-microfarads" ? made.calls[0]?.state.id : reading.call;
    const run = call === undefined ? null : runAt(suspect, call, air, along);
    return run && shownBy(made, run, reading);
  };
  const phasorShown = (suspect: Suspect, reading: Reading, air: AirTimes, along: number): Complex | null => {
    if (!("call" in reading)) return null;
    const run = runAt(suspect, reading.call, air, along);
    return run && phasorOf(made, run, reading);
  };
  return {
    directions,
    run: (suspect, call, air = 1) => runAt(suspect, call, air, -1),
    value: (suspect, reading, air = 1) => shown(suspect, reading, air, -1),
    prediction: (suspect, reading, air = 1) => {
      const { rating } = made.fitted;
      const value = shown(suspect, reading, air, -1);
      if (value === null) return null;
      const log = weighed(reading.what, value, rating);
      const times = (along: number) => (directions[along]?.ofMotor ? (suspect.loose ?? 1) : 1);
      const moves = suspect.severity ? directions.length + 1 : directions.length;
      const phasor = (along: number) => phasorShown(suspect, reading, air, along);
      const still = phasor(-1);
      if (still) {
        const offs = Array.from({ length: moves }, (_, along) => {
          const there = phasor(along);
          return there ? scale(sub(there, still), times(along)) : ZERO;
        });
        const least = WEIGHING[reading.what].least(rating);
        const { slopes, ...rest } = moving(still, offs, least);
        return { ...rest, slopes: suspect.severity ? slopes : [...slopes, 0] };
      }
      const moved = (along: number) => {
        const there = shown(suspect, reading, air, along);
        if (there === null) return 0;
        const most = WEIGHING[reading.what].steepest ?? Number.POSITIVE_INFINITY;
        const slope = times(along) * (weighed(reading.what, there, rating) - log);
        return Math.max(-most, Math.min(most, slope));
      };
      const slopes = Array.from({ length: directions.length + 1 }, (_, i) => (i < moves ? moved(i) : 0));
      return { log, slopes, variance: 0 };
    },
  };
}

/** A winding that is measured warm: {@link leftOpen} has the same. */
const COPPER_TIMES = Math.exp(0.07);

/** The phasor whose amplitude an instrument shows; null where it shows something else. */
function phasorOf(made: ProvingCase, run: CallRun, reading: Reading): Complex | null {
  const { solution } = run.point;
  switch (reading.what) {
    case "line-amps":
      return currentIn(run, solution, reading.lead);
    case "start-amps":
      return currentIn(run, run.rest, reading.lead);
    case "capacitor-volts":
    case "capacitor-amps": {
      const place = made.capacitors.find(({ at }) => at === reading.at);
      const state = solution.branches.get(place?.id ?? "");
      return state ? (reading.what === "capacitor-volts" ? state.volts : state.amps) : null;
    }
    default:
      return null;
  }
}

/** What an instrument shows on a machine. */
function shownBy(
  made: ProvingCase,
  run: CallRun,
  reading: Exclude<Reading, { what: "ohms" }>,
): number | null {
  const { solution } = run.point;
  switch (reading.what) {
    case "line-amps":
      return ampsIn(run, solution, reading.lead);
    case "start-amps":
      return ampsIn(run, run.rest, reading.lead);
    case "supply-volts":
      return voltsBetween(run, solution, reading.between);
    case "rpm":
      return Math.abs(run.point.rpm);
    case "capacitor-volts":
    case "capacitor-amps": {
      const place = made.capacitors.find(({ at }) => at === reading.at);
      const state = solution.branches.get(place?.id ?? "");
      // A capacitor that is gone stands at what its two places do; no current flows in it.
      if (!state) return 0;
      return abs(reading.what === "capacitor-volts" ? state.volts : state.amps);
    }
    case "capacitor-microfarads": {
      const place = made.capacitors.find(({ at }) => at === reading.at);
      const branch = run.made.machine.branches.find(({ id }: Branch) => id === place?.id);
      return branch?.kind === "capacitor" ? branch.microfarads : 0;
    }
  }
}
