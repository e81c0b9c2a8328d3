import { formatHp, formatPower, WATTS_PER_HP } from "../quantity/power";
import type { Need } from "./need";

/** What size of electronic retrofit a machine wants, and by what it was chosen. */
export interface RetrofitSize {
  readonly watts: number;
  readonly by: "power" | "tons" | "heating";
  readonly says: string;
}

/**
 * Blower power by cooling tons: 400 cfm a ton, and the power a forward-curved wheel takes for it in a duct of usual
 * resistance; sizes as blowers of that many tons are built with.
 */
const HP_BY_TONS: readonly { readonly tons: number; readonly hp: number }[] = [
  { tons: 2, hp: 1 / 3 },
  { tons: 3, hp: 1 / 2 },
  { tons: 4, hp: 3 / 4 },
  { tons: 5, hp: 1 },
];
/** Heating output that a ton's air (400 cfm) carries at a usual rise of 28 K (50 °F): 1.08 · 400 · 50 Btu/h, kilowatts. */
const HEATING_KW_PER_TON = 6.3;

/** By the old plate's power where that is known, else by tons of cooling, else by heating output; null by none. */
export function retrofitSize({ old, coolingTons, heatingKilowatts }: Need): RetrofitSize | null {
  const oldWatts = old.powerWatts && Math.max(...old.powerWatts);
  if (oldWatts !== undefined)
    return {
      watts: oldWatts,
      by: "power",
      says: `By the old plate: ${formatPower(oldWatts)} or more in its range.`,
    };
  const tons =
    coolingTons ?? (heatingKilowatts === undefined ? undefined : heatingKilowatts / HEATING_KW_PER_TON);
  if (tons === undefined) return null;
  const row = HP_BY_TONS.find((one) => tons <= one.tons + 0.01);
  if (!row) return null;
  const watts = row.hp * WATTS_PER_HP;
  return coolingTons !== undefined
    ? {
        watts,
        by: "tons",
        says: `By ${coolingTons} tons of cooling: ${formatHp(watts)} hp. Measure the airflow after.`,
      }
    : {
        watts,
        by: "heating",
        says: `By ${heatingKilowatts} kW of heating output: ${formatHp(watts)} hp. Measure the airflow after.`,
      };
}

/** What goes with every electronic retrofit, in order. */
export const RETROFIT_STEPS: readonly string[] = [
  "Set the line voltage by its jumper or plug BEFORE the connectors go on.",
  "Constant line power, taken after the door switch and before any relay.",
  "Run signal from the old fan-speed terminals, tied together so that every call runs it; with one call in use, only that one.",
  "Low-voltage speed leads from the thermostat strip, with its common; continuous fan may need none.",
  "It finds its direction on the first start by trying both: let it.",
  "Measure airflow, set the speeds, leave the label.",
];
