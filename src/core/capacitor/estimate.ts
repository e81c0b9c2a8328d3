import { WATTS_PER_HP } from "../quantity/power";

/** A range for a run capacitor whose value nobody can read any more. Never a rating. */
export interface CapacitorEstimate {
  readonly lowMicrofarads: number;
  readonly highMicrofarads: number;
  readonly source: string;
  readonly says: string;
}

/** Rule of thumb for capacitor-run fan motors, 60 Hz, 208–230 V, at 370 V: up to so many hp, so many microfarads. */
const RULE: readonly { readonly hp: number; readonly low: number; readonly high: number }[] = [
  { hp: 1 / 4, low: 3, high: 5 },
  { hp: 1 / 3, low: 4, high: 7.5 },
  { hp: 1 / 2, low: 5, high: 10 },
  { hp: 3 / 4, low: 7.5, high: 15 },
  { hp: 1, low: 10, high: 20 },
];

/**
 * What a run capacitor may have been, when the plate is gone, by the rule of thumb of the trade. It holds for
 * capacitor-run fan motors on 208–230 V and 60 Hz up to 1 hp; for anything else there is no rule, and none is made up.
 */
export function estimateRun(motor: {
  readonly powerWatts?: number;
  readonly supplyVolts?: number;
  readonly hertz?: number;
}): CapacitorEstimate | null {
  const { powerWatts, supplyVolts = 230, hertz = 60 } = motor;
  if (powerWatts === undefined || hertz !== 60 || supplyVolts < 190 || supplyVolts > 255) return null;
  const hp = powerWatts / WATTS_PER_HP;
  const row = RULE.find((one) => hp <= one.hp * 1.01);
  if (!row) return null;
  return {
    lowMicrofarads: row.low,
    highMicrofarads: row.high,
    source: "rule of thumb for capacitor-run fan motors, 60 Hz, 208–230 V, at 370 V",
    says: `About ${row.low} to ${row.high} µF by the rule of thumb. A range to look for the right label by, not a value to buy: the plate, the old factory capacitor’s label or the schematic decides.`,
  };
}

/**
 * The start capacitor that puts start and main current a quarter period apart at standstill, from the locked-rotor
 * impedances of the two windings: Xc = Xa + Ra·Rm/Xm (quadrature condition, Fitzgerald, Electric Machinery, ch. 9).
 *
 * @param main resistance and reactance of the main winding with the rotor locked, ohms.
 * @param start the same of the start winding.
 * @returns microfarads, or null where no capacitor does it.
 */
export function quadratureMicrofarads(
  main: { readonly ohms: number; readonly reactanceOhms: number },
  start: { readonly ohms: number; readonly reactanceOhms: number },
  hertz: number,
): number | null {
  const capacitorOhms = start.reactanceOhms + (start.ohms * main.ohms) / main.reactanceOhms;
  return capacitorOhms > 0 ? 1e6 / (2 * Math.PI * hertz * capacitorOhms) : null;
}
