import { softBox } from "../softBox";

/**
 * What is usual between winding sections, shared by the families. Boxes are wide on purpose: they are there to break
 * ties between roles, not to describe any one maker's habits.
 */

/** Ohms of a main winding: from big low-voltage motors to small shaded-pole fans. */
export const MAIN_OHMS = softBox(0.4, 400, 0.5, 0.5);

/**
 * Start winding to main winding of a capacitor-run motor: thinner wire, higher ohms in nearly every small motor. In some
 * cheap fans it is the lower of the two: one in two hundred or so, which the shallow floor leaves room for.
 */
export const START_TO_MAIN = softBox(1.1, 3, 0.03, 0.2, 5.4);

/** Start to main where a switch takes the start winding out: thinner still. */
export const SWITCHED_START_TO_MAIN = softBox(1.1, 6, 0.03, 0.2);

/**
 * One speed section in series beyond the main, to the main. The floor is deep: a section of a hundredth of the main
 * would change no speed, so a reading near zero is a duplicate lead.
 */
export const SPEED_TO_MAIN = softBox(0.04, 0.6, 0.35, 0.25, 10);

/** Two windings wound alike: within the spread of hand and machine. */
export const ALIKE = softBox(0.96, 1.04, 0.02);

/** The same where a fault may set one apart: turns short, a joint goes bad, and the motor is on the bench for it. */
export const ALIKE_UNLESS_FAULTY = softBox(0.96, 1.04, 0.02, 0.02, 5, 8);

/** Ohms of a winding of a small motor whose every winding may be fine wire. */
export const SMALL_MOTOR_OHMS = softBox(0.4, 2000, 0.5);
