"use client";

import { useSyncExternalStore } from "react";

/** Where this device's meter listens. */
export interface MeterAddress {
  readonly host: string;
  readonly port: number;
}

/** Raw SCPI over TCP is found here by custom. */
export const USUAL_PORT = 5025;

const KEY = "odd-lead:meter-address";
const CHANGED = "odd-lead:meter-address-changed";

/** The meter's address as it was typed on this device, and how to change it; null where none was. */
export function useMeterAddress(): [MeterAddress | null, (address: MeterAddress | null) => void] {
  const text = useSyncExternalStore(subscribe, stored, () => null);
  return [addressOf(text), keep];
}

function subscribe(changed: () => void): () => void {
  window.addEventListener("storage", changed);
  window.addEventListener(CHANGED, changed);
  return () => {
    window.removeEventListener("storage", changed);
    window.removeEventListener(CHANGED, changed);
  };
}

/** Where storage is refused the address lives as long as the page. */
let inMemory: string | null = null;

function stored(): string | null {
  try {
    return localStorage.getItem(KEY) ?? inMemory;
  } catch {
    return inMemory;
  }
}

function keep(address: MeterAddress | null): void {
  inMemory = address ? JSON.stringify(address) : null;
  try {
    if (inMemory) localStorage.setItem(KEY, inMemory);
    else localStorage.removeItem(KEY);
  } catch {
    // Kept in memory above.
  }
  window.dispatchEvent(new Event(CHANGED));
}

function addressOf(text: string | null): MeterAddress | null {
  if (text === null) return null;
  try {
    const { host, port }: Partial<MeterAddress> = JSON.parse(text);
    return typeof host === "string" && typeof port === "number" ? { host, port } : null;
  } catch {
    return null;
  }
}
