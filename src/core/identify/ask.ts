import * as z from "zod/mini";

/** What the probing may be for. */
export const ASKS = ["all", "speeds", "capacitor", "shared", "sound"] as const;

/** What the probing is to find out. */
export const ask = z.enum(ASKS);
export type Ask = z.output<typeof ask>;
