import { type Fault, fault } from "../../quantity/fault";
import { digits } from "../../quantity/number";
import { formatPower } from "../../quantity/power";
import { stampedSpeed } from "./nominalSpeed";
import type { Plate } from "./plate";

/** Apparent power over output: from motors near unity up to small shaded-pole ones, which are mostly heat. */
const LEAST_APPARENT = 0.9;
const MOST_APPARENT = { small: 16, other: 7 } as const;
const SMALL_WATTS = 150;

/**
 * What is odd about a plate's figures: `cannot-be` where a figure does not go with the others at all, `odd` where it may
 * be but lies outside of what is usual. Each names its field.
 */
export function plateDoubts(plate: Plate): Fault[] {
  return [...ampsDoubt(plate), ...speedDoubt(plate)];
}

/** No mains that these motors run on is lower: what cannot be there cannot be anywhere. */
const LEAST_MAINS_VOLTS = 100;

function ampsDoubt({ powerWatts, volts, fullLoadAmps, phase }: Plate): Fault[] {
  const watts = powerWatts && Math.max(...powerWatts);
  if (!watts || !fullLoadAmps) return [];
  const list = volts?.flatMap(({ low, high }) => [low, high]);
  if (!list) return ampsAtAnyVolts(Math.max(...fullLoadAmps), watts);
  // Where no phase is said it may be either.
  const phases = phase === 3 ? [Math.sqrt(3)] : phase === 1 ? [1] : [1, Math.sqrt(3)];
  const [least, most] = [Math.min(...list), Math.max(...list)];
  const largest = Math.max(...fullLoadAmps);
  // The greatest amps belong to the lowest volts, or to the greatest power.
  const ratios = [least, most].flatMap((v) => phases.map((times) => (largest * v * times) / watts));
  const limit = watts < SMALL_WATTS ? MOST_APPARENT.small : MOST_APPARENT.other;
  if (ratios.some((ratio) => ratio >= LEAST_APPARENT && ratio <= limit)) return [];
  return [
    fault(
      "cannot-be",
      `${digits(largest)} A do not go with ${formatPower(watts)} at ${least === most ? least : `${least}–${most}`} V.`,
      ["amps"],
    ),
  ];
}

/** Without volts: amps that are too many for the power at the lowest mains there are. */
function ampsAtAnyVolts(amps: number, watts: number): Fault[] {
  const limit = watts < SMALL_WATTS ? MOST_APPARENT.small : MOST_APPARENT.other;
  if ((amps * LEAST_MAINS_VOLTS) / watts <= limit) return [];
  return [
    fault("cannot-be", `${digits(amps)} A do not go with ${formatPower(watts)} at any mains volts.`, [
      "amps",
    ]),
  ];
}

/** Volts of 50 Hz countries: 220 to 240 between line and neutral, 380 to 415 between lines. */
function isFiftyHertzVolts({ low, high }: { readonly low: number; readonly high: number }): boolean {
  return (low >= 380 && high <= 415) || (low >= 220 && high <= 240);
}

function speedDoubt({ rpm, hertz, poles, volts }: Plate): Fault[] {
  if (rpm === undefined || poles !== undefined) return [];
  // No hertz said: a speed and volts that are usual at 50 Hz are no doubt.
  const fifty = hertz === undefined && (volts === undefined || volts.every(isFiftyHertzVolts));
  if (fifty && stampedSpeed(rpm, 50).kind === "usual") return [];
  const mains = hertz !== undefined && !hertz.includes(60) ? 50 : 60;
  const stamped = stampedSpeed(rpm, mains);
  switch (stamped.kind) {
    case "usual":
      return [];
    case "odd":
      return [
        fault(
          "odd",
          `${rpm} rpm lies in no usual range at ${mains} Hz; it is kept as it is, for ${stamped.poles} poles.`,
          ["speed"],
        ),
      ];
    case "synchronous":
      return [
        fault(
          "odd",
          `${rpm} rpm is the speed of the field of ${stamped.poles} poles at ${mains} Hz: under load the motor turns some slower.`,
          ["speed"],
        ),
      ];
    case "impossible":
      return [
        fault("odd", `${rpm} rpm is faster than any field at ${mains} Hz: see the figure again.`, ["speed"]),
      ];
  }
}
