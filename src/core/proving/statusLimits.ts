/** One cause is found at this, and all is good at that. */
export const FOUND = 0.95;
export const GOOD = 0.99;
/** From here on good is near enough to be asked for. */
export const NEARLY_GOOD = 0.9;
