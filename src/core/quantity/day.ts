/** Gives the day of a moment, "2026-11-28". The core has no clock of its own: who shows a day says whose day it is. */
export type DayOf = (at: string) => string;

/** The day of universal time: where nobody says which place is meant. */
export const utcDay: DayOf = (at) => at.slice(0, 10);
