import type { Rating } from "../machine/rating";
import type { Plate } from "../motor/plate/plate";

/** Limits that a line of the proof is held against; each with where it comes from. */

/** Supply beside the plate's volts (NEMA MG 1, 12.44). */
export const VOLTS_NEAR = 0.1;
/** Beyond this it is another system, not a weak one. */
export const VOLTS_FAR = 0.15;
/** Unbalance of volts, per cent: good to the first, derated to the second, stop beyond (NEMA MG 1, 14.36). */
export const VOLTS_UNBALANCE = { good: 1, derate: 5 } as const;
/** Unbalance of amps, per cent: good to the first (trade practice, no standard), stop beyond the second. */
export const AMPS_UNBALANCE = { good: 5, stop: 10 } as const;
/** Of the plate's amps, under which it has too little to do. */
export const LEAST_AMPS = 0.7;
/** Of what is expected of a pump, under which it runs dry. */
export const DRY_TIMES = LEAST_AMPS;
/** Of its setting, how near a pressure switch acts (trade practice, no standard behind it). */
export const PRESSURE_NEAR = 0.1;
/** Seconds until a start is over: good to the first, off by the second. */
export const START_SECONDS = { good: 3, off: 5 } as const;
/** What is over, beside the plate's amps. */
export const STARTED_TIMES = 1.5;
/** Line to line with the power off, beside what the setting predicts. */
export const OHMS_NEAR = 0.1;
/** A run capacitor's label, where it names no other tolerance. */
export const CAPACITOR_TOLERANCE = 0.06;
/** A start capacitor's band about its middle. */
export const START_CAPACITOR_TOLERANCE = 0.2;
/** Of the amps at work with three phases, what flows with the rotor locked and one phase lost (√3/2). */
export const SINGLE_PHASED = Math.sqrt(3) / 2;

/**
 * Amps over which a motor is stopped: the plate's service-factor amps; where it names none, what an overload may be set
 * to, 125 % at a service factor of 1.15 and over, else 115 % (NFPA 70, 430.32).
 */
export function stopAmps({ serviceFactorAmps, serviceFactor = 1 }: Plate, plateAmps: number): number {
  return serviceFactorAmps ?? plateAmps * (serviceFactor >= 1.15 ? 1.25 : 1.15);
}

/** The plate's full-load amps at the setting that the motor stands at. */
export function amps(rating: Rating, setting: "low" | "high"): number {
  return rating.amps * (rating.volts.high / rating.volts[setting]);
}

/** Greatest way off the mean, in per cent of it: unbalance as NEMA MG 1 has it. */
export function unbalancePercent(values: readonly number[]): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
  return mean > 0 ? (100 * Math.max(...values.map((value) => Math.abs(value - mean)))) / mean : 0;
}

/** Microfarads by what flows in a capacitor at work and stands across it: C = 10⁶·I/(2π·f·V). */
export function microfaradsAtWork(amperes: number, volts: number, hertz: number): number {
  return (1e6 * amperes) / (2 * Math.PI * hertz * volts);
}
