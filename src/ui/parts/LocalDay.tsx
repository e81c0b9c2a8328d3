"use client";

import { useLocalDay } from "./useLocalDay";

/** The day of a moment where this page is read: half past seven in the evening is of that day. */
export function LocalDay({ at }: { at: string }) {
  return <time dateTime={at}>{useLocalDay(at)}</time>;
}
