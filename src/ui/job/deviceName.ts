"use client";

import { useSyncExternalStore } from "react";

const KEY = "odd-lead:name";
const CHANGED = "odd-lead:name-changed";
/** As long as a fact's `by` may be. */
export const MOST_NAME_LETTERS = 40;

/** Where storage is refused the name lives as long as the page. */
let inMemory = "";

/** Who works on this device, by the name given here; "" while nobody was asked. It goes with every fact made here. */
export function deviceName(): string {
  try {
    return localStorage.getItem(KEY) ?? inMemory;
  } catch {
    return inMemory;
  }
}

/** Takes a name for this device, from where it was asked first. */
export function keepDeviceName(name: string): void {
  inMemory = name.trim().slice(0, MOST_NAME_LETTERS);
  try {
    localStorage.setItem(KEY, inMemory);
  } catch {
    // Kept in memory above.
  }
  window.dispatchEvent(new Event(CHANGED));
}

/** The same for a page that shows it. */
export function useDeviceName(): string {
  return useSyncExternalStore(subscribe, deviceName, () => "");
}

function subscribe(changed: () => void): () => void {
  window.addEventListener("storage", changed);
  window.addEventListener(CHANGED, changed);
  return () => {
    window.removeEventListener("storage", changed);
    window.removeEventListener(CHANGED, changed);
  };
}
