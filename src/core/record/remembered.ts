import { type FittedMotor, fitMotor } from "./fitMotor";
import type { Rating } from "./rating";
import type { WoundMotor } from "./woundMotor";

/** So many fits are remembered: a motor as it is set, and as it would be set otherwise. */
const MOST = 4;

/**
 * Fits as fitMotor does, and remembers the last few: a plan is made anew with every wire that is moved, and the motor is the
 * same. Found again by what it was fitted to, letter by letter.
 */
export function rememberedFit(): (motor: WoundMotor, rating: Rating) => FittedMotor {
  const fits = new Map<string, FittedMotor>();
  return (motor, rating) => {
    const key = JSON.stringify([motor, rating]);
    const fitted = fits.get(key) ?? fitMotor(motor, rating);
    fits.delete(key);
    fits.set(key, fitted);
    for (const oldest of fits.keys()) {
      if (fits.size <= MOST) break;
      fits.delete(oldest);
    }
    return fitted;
  };
}
