import { feedingOf } from "../machine/feedingOf";
import { lineLeads } from "./callRun";
import { halfWidth, type Judging } from "./judging";
import { AMPS_UNBALANCE, unbalancePercent, VOLTS_UNBALANCE } from "./limits";
import type { Reading } from "./reading";
import { is, type Verdict } from "./signVerdicts";
import type { Figure } from "./standing";
import { AS_PLANNED } from "./suspects";

/** How unlike figures are, and how unlike like ones may read on their instrument; both in per cent of the mean. */
export function unlike(
  judging: Judging,
  figures: readonly Figure[],
): { readonly percent: number; readonly byMeter: number } {
  const values = figures.map(({ value }) => value);
  const mean = values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
  const widest = Math.max(...figures.map((figure) => halfWidth(judging, figure)));
  return { percent: unbalancePercent(values), byMeter: mean > 0 ? (100 * widest) / mean : 0 };
}

/** Three lines of a three-phase motor, once all are read. */
export function ampsUnbalance(
  judging: Judging,
  figure: Figure,
  reading: Extract<Reading, { what: "line-amps" | "start-amps" }>,
): Verdict | null {
  const { made, belief } = judging;
  if (feedingOf(made.motor).phases !== 3) return null;
  const run = judging.sight.run(AS_PLANNED, reading.call);
  const lines = run ? lineLeads(made, run) : [];
  const same = belief.standing.figures.filter(
    ({ reading: one, air }) =>
      one.what === "line-amps" && one.call === reading.call && air === figure.air && lines.includes(one.lead),
  );
  if (same.length < 3 || same.at(-1)?.index !== figure.index) return null;
  const { percent, byMeter } = unlike(judging, same);
  const says = `The lines carry ${percent.toFixed(1)} % unlike amps`;
  if (percent <= AMPS_UNBALANCE.good) return is("good", `${says}.`);
  if (percent - byMeter <= AMPS_UNBALANCE.good)
    return is("again", `${says}, which the meter’s own ±${byMeter.toFixed(0)} % may be all of.`);
  const turn =
    "exchange all three in rotation: if the high one goes with the lead it is the motor, if it stays the supply.";
  return is(percent - byMeter > AMPS_UNBALANCE.stop ? "stop" : "again", `${says}: ${turn}`);
}

/** Volts of three lines under a call, once all are read; null before, and of other supplies. */
export function threeVolts({ made, belief }: Judging, call: string): readonly Figure[] | null {
  if (made.plan.compartment.supply.kind !== "three-lines") return null;
  const same = belief.standing.figures.filter(
    (one) => one.reading.what === "supply-volts" && one.reading.call === call,
  );
  return same.length < 3 ? null : same;
}

export function voltsUnbalance(
  judging: Judging,
  figure: Figure,
  reading: Extract<Reading, { what: "supply-volts" }>,
): Verdict | null {
  const same = threeVolts(judging, reading.call);
  if (!same || same.at(-1)?.index !== figure.index) return null;
  const { percent, byMeter } = unlike(judging, same);
  const says = `Volts unlike by ${percent.toFixed(1)} %`;
  if (percent <= VOLTS_UNBALANCE.good) return is("good", `${says}.`);
  if (percent - byMeter <= VOLTS_UNBALANCE.good)
    return is("again", `${says}, which the meter’s own ±${byMeter.toFixed(1)} % may be all of.`);
  return percent - byMeter > VOLTS_UNBALANCE.derate
    ? is("stop", `${says}, over 5 %: off.`)
    : is("again", `${says}: over 1 % the motor is derated.`);
}
