import type { Plate } from "../motor/plate/plate";
import { judgeInsulation } from "../ohms/insulation";
import { parseCapacitor } from "../quantity/capacitance";
import type { ProvingLine } from "./diagnosis";
import {
  AMPS_UNBALANCE,
  CAPACITOR_TOLERANCE,
  LEAST_AMPS,
  stopAmps,
  unbalancePercent,
  VOLTS_FAR,
  VOLTS_NEAR,
  VOLTS_UNBALANCE,
} from "./limits";
import type { ProvingObservation } from "./observation";
import { pressureVerdict } from "./pressureVerdict";
import type { TurnedLoad } from "./provingSheet";
import { SIGN_VERDICTS, START_VERDICTS } from "./signVerdicts";

/** The call and the wire of a check-up: the motor runs, and the clamp is round a line. */
export const CHECK_UP = { call: "run", lead: "line" } as const;

/** The two places of a control supply, where a call’s 24 V are read at a module. */
export const CONTROL_PAIR = ["control", "common"] as const;
/** What a 24 V control supply may stand at under load (trade practice, no standard behind it). */
const CONTROL_VOLTS = { low: 20, high: 28 } as const;

type Verdict = Pick<ProvingLine, "verdict" | "says">;

/**
 * A check-up of a motor that runs where it is, its windings not known: each reading against the plate and the label alone.
 * What no plate tells is kept and not judged.
 *
 * @param capacitorLabel of the capacitor that is there, as typed; "" where nobody read it.
 * @param load what it turns: a pump's switch is set to two pressures.
 */
export function checkUp(
  plate: Plate,
  capacitorLabel: string,
  observations: readonly ProvingObservation[],
  load: Pick<TurnedLoad, "pressureSwitch"> = {},
): ProvingLine[] {
  return observations.map((seen, observation) => ({
    observation,
    ...verdictOf(plate, capacitorLabel, seen, observations.slice(0, observation + 1), load),
  }));
}

function verdictOf(
  plate: Plate,
  label: string,
  seen: ProvingObservation,
  upTo: readonly ProvingObservation[],
  load: Pick<TurnedLoad, "pressureSwitch">,
): Verdict {
  switch (seen.what) {
    case "supply-volts":
      return seen.between[0] === CONTROL_PAIR[0]
        ? controlVerdict(seen.volts)
        : voltsVerdict(plate, seen.volts, upTo);
    case "line-amps":
      return ampsVerdict(plate, seen.amps, upTo);
    case "capacitor-microfarads":
      return capacityVerdict(label, seen.at, seen.microfarads);
    case "sign":
      return SIGN_VERDICTS[seen.sign];
    case "starts":
      return START_VERDICTS[seen.how];
    case "insulation": {
      const { weight, says } = judgeInsulation(seen.megohms, seen.windingC, seen.inWell);
      return { verdict: weight, says };
    }
    case "pressure":
      return pressureVerdict(load, seen, upTo.slice(0, -1));
    default:
      return { verdict: "good", says: "Kept; the plate gives nothing to hold it against." };
  }
}

function controlVerdict(value: number): Verdict {
  const { low, high } = CONTROL_VOLTS;
  return value >= low && value <= high
    ? { verdict: "good", says: `${value} V for the call, ${low} to ${high} V.` }
    : {
        verdict: "again",
        says: `${value} V for the call, ${low} to ${high} V: signal and common first, then the module.`,
      };
}

function voltsVerdict({ volts, phase }: Plate, value: number, upTo: readonly ProvingObservation[]): Verdict {
  const range = volts?.toSorted((a, b) => away(a, value) - away(b, value))[0];
  const unlike =
    phase !== 3
      ? null
      : unbalance(
          upTo.flatMap((one) =>
            one.what === "supply-volts" && one.between[0] !== CONTROL_PAIR[0] ? [one.volts] : [],
          ),
        );
  if (unlike !== null && unlike > VOLTS_UNBALANCE.good)
    return {
      verdict: unlike > VOLTS_UNBALANCE.derate ? "stop" : "again",
      says: `${value} V; the three are unlike by ${unlike.toFixed(1)} %, ${VOLTS_UNBALANCE.good} % is good, over ${VOLTS_UNBALANCE.derate} % it is switched off.`,
    };
  if (!range) return { verdict: "again", says: `${value} V; the plate’s volts are not typed.` };
  const plate = range.low === range.high ? `${range.low}` : `${range.low}–${range.high}`;
  const inside = value >= range.low * (1 - VOLTS_NEAR) && value <= range.high * (1 + VOLTS_NEAR);
  const far = value < range.low * (1 - VOLTS_FAR) || value > range.high * (1 + VOLTS_FAR);
  return {
    verdict: inside ? "good" : far ? "stop" : "again",
    says: `${value} V, plate ${plate} ± 10 %${inside ? "." : `: ${value < range.low ? "low" : "high"}.`}`,
  };
}

function away({ low, high }: { readonly low: number; readonly high: number }, value: number): number {
  return Math.min(Math.abs(Math.log(value / low)), Math.abs(Math.log(value / high)));
}

/** The last three of a three-phase motor; null while there are fewer. */
function unbalance(values: readonly number[]): number | null {
  return values.length < 3 ? null : unbalancePercent(values.slice(-3));
}

function ampsVerdict(plate: Plate, value: number, upTo: readonly ProvingObservation[]): Verdict {
  const full = plate.fullLoadAmps;
  if (!full) return { verdict: "again", says: `${value} A; the plate’s amps are not typed.` };
  const [least, most] = [Math.min(...full), Math.max(...full)];
  const stop = stopAmps(plate, most);
  const named = least === most ? `${most}` : `${least} to ${most}`;
  if (value > stop)
    return {
      verdict: "stop",
      says: `${value} A, plate ${named}: over ${show(stop)} A it is not left running.`,
    };
  if (value > most)
    return { verdict: "again", says: `${value} A, over the plate’s ${most} A: load, air, volts, capacitor.` };
  const unlike =
    plate.phase === 3 ? unbalance(upTo.flatMap((one) => (one.what === "line-amps" ? [one.amps] : []))) : null;
  if (unlike !== null && unlike > AMPS_UNBALANCE.good)
    return {
      verdict: unlike > AMPS_UNBALANCE.stop ? "stop" : "again",
      says: `${value} A; the lines are unlike by ${unlike.toFixed(1)} %. Exchange all three in rotation: if the high one goes with the lead it is the motor, if it stays the supply.`,
    };
  if (value < LEAST_AMPS * least)
    return {
      verdict: "again",
      says: `${value} A, under 0.7 of the plate’s ${least} A: little to turn? Blocked air, a slipped belt, a dry pump.`,
    };
  return { verdict: "good", says: `${value} A, plate ${named}.` };
}

function capacityVerdict(label: string, at: string, value: number): Verdict {
  const read = parseCapacitor(label);
  const wanted = !read.ok
    ? null
    : read.label.kind === "single"
      ? read.label.microfarads
      : read.label.kind === "dual"
        ? at === "herm"
          ? read.label.hermMicrofarads
          : read.label.fanMicrofarads
        : null;
  if (!read.ok || wanted === null)
    return { verdict: "again", says: `${value} µF; the capacitor’s label is not typed.` };
  const tolerance = read.label.tolerancePercent ? read.label.tolerancePercent / 100 : CAPACITOR_TOLERANCE;
  const off = value / wanted - 1;
  const says = `${value} µF, label ${wanted} ± ${Math.round(100 * tolerance)} %`;
  return Math.abs(off) <= tolerance
    ? { verdict: "good", says: `${says}.` }
    : { verdict: "again", says: `${says}: replace it.` };
}

function show(value: number): string {
  return String(Number(value.toPrecision(3)));
}
