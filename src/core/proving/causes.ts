/** What can be the matter with a motor that was just landed, or runs badly: the closed list. */
export const CAUSES = [
  "as-planned",
  "leads-exchanged",
  "lead-off",
  "wrong-terminal",
  "wrong-tap",
  "capacitor-missing",
  "capacitor-open",
  "capacitor-shorted",
  "capacitor-weak",
  "capacitor-wrong",
  "capacitor-halves-exchanged",
  "start-winding-open",
  "main-half-open",
  "start-contact-stays-open",
  "start-contact-stays-closed",
  "wrong-voltage-setting",
  "supply-low",
  "supply-high",
  "phase-lost",
  "volts-unbalanced",
  "shorted-turns",
  "rotor-bars",
  "shaft-stuck",
  "drag",
  "load-heavy",
  "load-light",
  "turn-reversed",
  "clamp-round-two",
  "clamp-turns",
  "unknown",
] as const;

export type Cause = (typeof CAUSES)[number];

/** Of all that is proved, what is as it should be; what nothing on the list explains; the rest is shared by what can be here. */
export const PRIOR = { sound: 0.64, oddlyBuilt: 0.16, unknown: 0.01, faulty: 0.19 } as const;

/**
 * How often a cause is met beside the others, a guess of the trade: what hands do wrong and what ages first come before
 * what seldom breaks. Flat enough that two good readings outweigh it.
 */
export const COMMON: Readonly<Record<Exclude<Cause, "as-planned" | "unknown">, number>> = {
  "leads-exchanged": 3,
  "lead-off": 2,
  "wrong-terminal": 2,
  "wrong-tap": 2,
  "capacitor-missing": 1,
  "capacitor-open": 2,
  "capacitor-shorted": 1,
  "capacitor-weak": 3,
  "capacitor-wrong": 2,
  "capacitor-halves-exchanged": 1.5,
  // The windings were read through and found whole before anything was landed.
  "start-winding-open": 0.75,
  "main-half-open": 0.75,
  "start-contact-stays-open": 2,
  "start-contact-stays-closed": 2,
  "wrong-voltage-setting": 2,
  "supply-low": 1.5,
  "supply-high": 1,
  "phase-lost": 2,
  "volts-unbalanced": 1.5,
  "shorted-turns": 2,
  "rotor-bars": 1,
  "shaft-stuck": 1.5,
  drag: 1.5,
  "load-heavy": 2,
  "load-light": 2,
  "turn-reversed": 4,
  // Without this a start lead that carries unlike what was figured would pass for a clamp put on twice.
  "clamp-round-two": 0.5,
  "clamp-turns": 0.1,
};
