/** Minutes that a hot protector is given to close before the motor is read again. */
export const COOLING_MINUTES = 30;
