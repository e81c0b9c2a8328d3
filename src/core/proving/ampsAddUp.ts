import { ampsIn, LIVE_SHARE } from "./callRun";
import type { ProvingCase } from "./provingCase";
import type { Reading } from "./reading";
import type { Sight } from "./sight";
import type { Suspect } from "./suspect";

/** What a clamp may be off by, of what it shows, when its amps are held against the sum of the others. */
const CLAMPS_OFF = 0.1;
/** How likely it is that amps do not add up where every clamp sat as it should, as a logarithm. */
const DO_NOT_ADD_UP = -12;

/**
 * What leads carry adds up to nothing (Kirchhoff's first law): so none carries more than all the others together. Where
 * every lead that a machine has alive under a call was clamped and one shows more, some clamp was put on wrong.
 *
 * @param figures what was read, amps; `air` is the factor on the load that it was read under.
 * @returns the natural logarithm of how likely what the clamps show is for that: 0 where nothing speaks against it.
 */
export function ampsAddUpLog(
  made: ProvingCase,
  sight: Sight,
  suspect: Suspect,
  figures: readonly { readonly reading: Reading; readonly value: number; readonly air: number }[],
): number {
  const least = LIVE_SHARE * made.fitted.rating.amps;
  const clamp = suspect.change.clamp;
  const leads = made.motor.leads.map(({ id }) => id);
  const fails = made.calls.some(({ state }) => {
    const shown = new Map<string, number>();
    // Read under other air they are another load's; a line of the supply is no lead beside those that it feeds.
    for (const { reading, value, air } of figures)
      if (
        reading.what === "line-amps" &&
        reading.call === state.id &&
        air === 1 &&
        leads.includes(reading.lead)
      )
        shown.set(reading.lead, value);
    if (shown.size < 2) return false;
    // What a clamp round two wires would have shown on one is not known.
    if (clamp && clamp.times === 0 && shown.has(clamp.lead)) return false;
    const run = sight.run(suspect, state.id);
    if (!run || run.shorted) return false;
    const alive = leads.filter((id) => (ampsIn({ ...run, change: {} }, run.point.solution, id) ?? 0) > least);
    if (alive.length < 2 || !alive.every((id) => shown.has(id))) return false;
    const amps = [...shown].map(([lead, value]) => (lead === clamp?.lead ? value / clamp.times : value));
    const most = Math.max(...amps);
    const others = amps.reduce((sum, value) => sum + value, 0) - most;
    return most * (1 - CLAMPS_OFF) > others * (1 + CLAMPS_OFF) + least;
  });
  return fails ? DO_NOT_ADD_UP : 0;
}
