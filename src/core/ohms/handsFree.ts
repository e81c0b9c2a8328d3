import type { OhmsShown } from "../quantity/ohms";
import { settledValue } from "./settledValue";

/**
 * Taking values from a meter's stream while both hands hold probes. A value counts once it stands still after the probes
 * were lifted from what was read before. An open display says nothing by itself, since probes in the air read open too:
 * it is taken after a sign, which is a key, a pedal, or the two tips touched together for a moment.
 */
export interface Catching {
  /** The probes have been in the air since the pair was asked for. */
  readonly lifted: boolean;
  /** Since when the display has been as it is, open or not. */
  readonly sinceMs: number;
  /** What it showed since then. */
  readonly run: readonly OhmsShown[];
  /** When the sign was given that what reads open is open; null where none was. */
  readonly signedMs: number | null;
}

/** What happens at the meter: a value on its display, or the sign by a key. */
export type MeterEvent =
  | { readonly kind: "shown"; readonly shown: OhmsShown; readonly atMs: number }
  | { readonly kind: "sign"; readonly atMs: number };

/** Open for so long is lifted; less is a probe that slips. */
const LIFTED_MS = 350;
/** A value stands before it is taken. */
const STANDS_MS = 500;
/** Tips touched together for less than this are the sign; two leads that are one conductor are held longer. */
const SHORT_TOUCH_MS = 800;
const BONDED_STANDS_MS = 1600;
/** Open stands so long after the sign. */
const OPEN_STANDS_MS = 2000;
/** Beyond the probes' own ohms, what tips touched together read at the most. */
const TIPS_OHMS = 1;

/** A pair was just asked for; the probes may still be on the one before. */
export function askedAt(atMs: number): Catching {
  return { lifted: false, sinceMs: atMs, run: [], signedMs: null };
}

/** The next state, and the value where this event completes one. */
export function caught(
  before: Catching,
  event: MeterEvent,
  meter: { readonly resolutionOhms: number; readonly probeOhms: number },
): { readonly now: Catching; readonly value: OhmsShown | null } {
  if (event.kind === "sign") return { now: { ...before, signedMs: event.atMs }, value: null };
  const { shown, atMs } = event;
  const last = before.run.at(-1);
  const changed = last === undefined || "open" in last !== "open" in shown;
  const stoodMs = atMs - before.sinceMs;
  const now: Catching = {
    lifted: before.lifted || ("open" in shown && !changed && stoodMs >= LIFTED_MS),
    sinceMs: changed ? atMs : before.sinceMs,
    run: [...(changed ? [] : before.run), shown],
    signedMs: signOf(before, shown, atMs, changed, meter.probeOhms),
  };
  return { now, value: now.lifted ? takenFrom(now, atMs, meter) : null };
}

/** Tips touched together for a moment, and parted, are the sign; any winding read takes a sign back. */
function signOf(
  before: Catching,
  shown: OhmsShown,
  atMs: number,
  changed: boolean,
  probeOhms: number,
): number | null {
  const nearZero = (one: OhmsShown) => "open" in one || one.ohms <= probeOhms + TIPS_OHMS;
  if (!("open" in shown)) return nearZero(shown) ? before.signedMs : null;
  const touched = changed && before.lifted && before.run.some((one) => !("open" in one));
  const short = atMs - before.sinceMs < SHORT_TOUCH_MS && before.run.every(nearZero);
  return touched && short ? atMs : before.signedMs;
}

function takenFrom(
  { run, sinceMs, signedMs }: Catching,
  atMs: number,
  { resolutionOhms, probeOhms }: { readonly resolutionOhms: number; readonly probeOhms: number },
): OhmsShown | null {
  const value = settledValue(run, resolutionOhms);
  if (!value) return null;
  if ("open" in value)
    return signedMs !== null && atMs - Math.max(signedMs, sinceMs) >= OPEN_STANDS_MS ? value : null;
  const least = value.ohms <= probeOhms + TIPS_OHMS ? BONDED_STANDS_MS : STANDS_MS;
  return atMs - sinceMs >= least ? value : null;
}
