import { ohmsAtTemperature } from "./windingTemperature";

/** Ohms per 1000 ft of one solid copper conductor at 20 °C, by American wire gauge (ASTM B258). */
export const OHMS_PER_1000_FT = {
  14: 2.525,
  12: 1.588,
  10: 0.9989,
  8: 0.6282,
  6: 0.3951,
  4: 0.2485,
} as const;

/** A gauge that the table has. */
export type WireGauge = keyof typeof OHMS_PER_1000_FT;

/** Resistivity of annealed copper at 20 °C, Ω·mm²/m. */
const COPPER_OHM_MM2_PER_M = 0.01724;
const REFERENCE_C = 20;

/** The conductor of a cable: by gauge and feet, or by cross-section and metres. */
export type CableRun =
  | { readonly gauge: WireGauge; readonly lengthFeet: number }
  | { readonly areaMm2: number; readonly lengthMetres: number };

/**
 * Ohms of one conductor of a copper cable, one way. A reading through the cable has it twice: out and back.
 *
 * @param cableC temperature of the cable, °C; 20 when left out.
 */
export function cableOhmsEachWay(run: CableRun, cableC: number = REFERENCE_C): number {
  const cold =
    "gauge" in run
      ? (OHMS_PER_1000_FT[run.gauge] * run.lengthFeet) / 1000
      : (COPPER_OHM_MM2_PER_M * run.lengthMetres) / run.areaMm2;
  return ohmsAtTemperature(cold, REFERENCE_C, cableC);
}
