import { formatPressure } from "../quantity/pressure";
import { higherWay } from "./higherPressure";
import { DRY_TIMES, PRESSURE_NEAR } from "./limits";
import type { ProvingObservation } from "./observation";
import type { TurnedLoad } from "./provingSheet";
import { is, type Verdict } from "./signVerdicts";

type Pressure = Extract<ProvingObservation, { what: "pressure" }>;

/** What a gauge of a pump pad is good to, of its reading, where nobody says: two standard deviations. */
const GAUGE_SHARE = 0.03;

/**
 * A pump's pressure: beside where its switch starts and stops it; of a pump that was tried both ways the higher is right,
 * since a wheel delivers backward too, only less.
 */
export function pressureVerdict(
  { pressureSwitch }: Pick<TurnedLoad, "pressureSwitch">,
  seen: Pressure,
  before: readonly ProvingObservation[],
): Verdict {
  const shown = formatPressure(seen.kilopascals);
  const more = higherWay(seen, before);
  if (more === "changed")
    return is(
      "again",
      `${shown}; it delivers more with its one change made: as it was wired it turns backward. Power off before anything is changed.`,
    );
  if (more === "as-wired") return is("good", `${shown}; it delivers more as it is wired: that way is right.`);
  if (seen.way === "changed")
    return is(
      "good",
      `${shown} with its one change made: beside the pressure as it was wired it tells the turn.`,
    );
  if (!pressureSwitch)
    return is("good", `${shown}, kept; where its switch starts and stops it says what it should be.`);
  const { cutInKilopascals: low, cutOutKilopascals: high } = pressureSwitch;
  const half = halfOf(seen);
  const [least, most] = [seen.kilopascals - half, seen.kilopascals + half];
  if (most < DRY_TIMES * low)
    return is(
      "stop",
      `${shown}, under 0.7 of the ${formatPressure(low)} it starts at: it runs dry, or lost its prime. Off.`,
    );
  const set = `its switch is set ${formatPressure(low)} to ${formatPressure(high)}`;
  if (seen.at === "running") {
    if (most < low)
      return is("again", `${shown}, ${set}: it does not hold what is drawn; prime, turn, valves.`);
    return least > high * (1 + PRESSURE_NEAR)
      ? is("again", `${shown}, ${set}: the switch does not stop it.`)
      : is("good", `${shown}, ${set}.`);
  }
  const right = seen.at === "cut-in" ? low : high;
  const does = seen.at === "cut-in" ? "starts it" : "stops it";
  return least > right * (1 + PRESSURE_NEAR) || most < right * (1 - PRESSURE_NEAR)
    ? is("again", `The switch ${does} at ${shown}, set ${formatPressure(right)}: over 10 % off.`)
    : is("good", `The switch ${does} at ${shown}, set ${formatPressure(right)}.`);
}

function halfOf({ kilopascals, meter }: Pressure): number {
  if (!meter) return GAUGE_SHARE * kilopascals;
  return (meter.percent / 100) * kilopascals + meter.counts * (meter.resolution ?? 1);
}
