/** What windings are wound of. */
export const CONDUCTORS = ["copper", "aluminium"] as const;
export type Conductor = (typeof CONDUCTORS)[number];

/** Inferred temperatures of zero resistance, °C below zero: copper by IEC 60034-1, aluminium by the same rule. */
const ZERO_RESISTANCE_C: Readonly<Record<Conductor, number>> = { copper: 234.5, aluminium: 225 };

/**
 * Ohms at another winding temperature: R(T) = R(T₀)·(k + T)/(k + T₀), k 234.5 °C for copper (IEC 60034-1) and 225 °C
 * for aluminium. Holds in the range motors are read in, −50 to 250 °C.
 */
export function ohmsAtTemperature(
  ohms: number,
  fromC: number,
  toC: number,
  conductor: Conductor = "copper",
): number {
  const k = ZERO_RESISTANCE_C[conductor];
  return (ohms * (k + toC)) / (k + fromC);
}

/** The winding temperature in °C at which a winding of known cold ohms reads so many; the same rule turned round. */
export function temperatureOfOhms(
  ohms: number,
  coldOhms: number,
  coldC: number,
  conductor: Conductor = "copper",
): number {
  const k = ZERO_RESISTANCE_C[conductor];
  return (ohms / coldOhms) * (k + coldC) - k;
}
