import { digits } from "../quantity/number";
import type { Weight } from "../quantity/weight";

/** Plate volts a motor stands, per cent either way (NEMA MG 1, 12.44). */
const ALLOWED_PERCENT = 10;
/** So near to the edge is said. */
const NEAR_EDGE_PERCENT = 8;

/** What the plate's volts and the measured supply come to. */
export interface SettingWord {
  readonly weight: Weight;
  /** Which of the plate's volts it is set for; `only` where there is nothing to set. */
  readonly setting: "low" | "high" | "only" | null;
  readonly says: string;
}

interface Range {
  readonly low: number;
  readonly high: number;
}

/** The setting that a supply wants of a motor, by its plate alone; a supply that no setting serves is a stop. */
export function settingFor(plate: readonly Range[], supplyVolts: number): SettingWord {
  const settings = plate.toSorted((a, b) => a.low - b.low);
  const off = ({ low, high }: Range) =>
    supplyVolts < low
      ? (100 * (supplyVolts - low)) / low
      : supplyVolts > high
        ? (100 * (supplyVolts - high)) / high
        : 0;
  const at = settings.findIndex((range) => Math.abs(off(range)) <= ALLOWED_PERCENT);
  const range = settings[at];
  const all = settings.map(say).join(" or ");
  if (!range)
    return {
      weight: "stop",
      setting: null,
      says: `${digits(supplyVolts)} V is outside of what this motor stands: its plate says ${all}, ${ALLOWED_PERCENT} % either way. Another motor, or another supply.`,
    };
  const miss = off(range);
  const edge =
    Math.abs(miss) > NEAR_EDGE_PERCENT
      ? ` That is ${Math.abs(miss).toFixed(0)} % ${miss < 0 ? "under" : "over"} the plate, near the edge of ${ALLOWED_PERCENT} %: watch its amps.`
      : "";
  const weight = edge === "" ? "good" : "again";
  if (settings.length === 1)
    return {
      weight,
      setting: "only",
      says: `This motor is for ${say(range)} alone: there is nothing to set.${edge}`,
    };
  const high = at === settings.length - 1;
  return {
    weight,
    setting: high ? "high" : "low",
    says: `Set it for ${say(range)}, the ${high ? "high" : "low"} volts.${edge} ${high ? "Set low it burns within minutes." : "Set high it hums, runs slow and hot."}`,
  };
}

function say({ low, high }: Range): string {
  return low === high ? `${low} V` : `${low}–${high} V`;
}
