/** A key, as it stands on the keyboard, and what it does. */
export type KeyLine = readonly [keys: string, does: string];
