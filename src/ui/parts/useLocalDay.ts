"use client";

import { useSyncExternalStore } from "react";

const never = () => () => undefined;

/** A day of this device's clock, "2026-11-28". */
export function localDay(at: Date | string): string {
  const date = new Date(at);
  if (Number.isNaN(date.getTime())) return "";
  const two = (value: number) => String(value).padStart(2, "0");
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** The day of a moment where this page is read; until it is alive there, the day of universal time. */
export function useLocalDay(at: string): string {
  return useSyncExternalStore(
    never,
    () => localDay(at),
    () => at.slice(0, 10),
  );
}

/** Today where this page is read; null until it is alive there. */
export function useToday(): string | null {
  return useSyncExternalStore(
    never,
    () => localDay(new Date()),
    () => null,
  );
}
