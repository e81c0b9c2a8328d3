"use client";

import { useSyncExternalStore } from "react";

/** A text that belongs to this device and to no job: kept in its storage, or, where that is refused, as long as the page. */
export interface DeviceSetting {
  /** Null while it was never set. */
  readonly read: () => string | null;
  readonly keep: (text: string | null) => void;
  /** The same for a page that shows it; it follows changes in other tabs. */
  readonly useText: () => string | null;
}

/** The setting under a name of its own. */
export function deviceSetting(name: string): DeviceSetting {
  const key = `odd-lead:${name}`;
  const changed = `${key}-changed`;
  let inMemory: string | null = null;
  const read = (): string | null => {
    try {
      return localStorage.getItem(key) ?? inMemory;
    } catch {
      return inMemory;
    }
  };
  const subscribe = (listener: () => void) => {
    for (const event of ["storage", changed]) window.addEventListener(event, listener);
    return () => {
      for (const event of ["storage", changed]) window.removeEventListener(event, listener);
    };
  };
  return {
    read,
    keep: (text) => {
      inMemory = text;
      try {
        if (text === null) localStorage.removeItem(key);
        else localStorage.setItem(key, text);
      } catch {
        // Kept in memory above.
      }
      window.dispatchEvent(new Event(changed));
    },
    useText: () => useSyncExternalStore(subscribe, read, () => null),
  };
}
