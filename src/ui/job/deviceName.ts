"use client";

import { deviceSetting } from "../parts/deviceSetting";

/** As long as a fact's `by` may be. */
export const MOST_NAME_LETTERS = 40;

const setting = deviceSetting("name");

/** Who works on this device, by the name given here; "" while nobody was asked. It goes with every fact made here. */
export function deviceName(): string {
  return setting.read() ?? "";
}

/** Takes a name for this device, from where it was asked first. */
export function keepDeviceName(name: string): void {
  setting.keep(name.trim().slice(0, MOST_NAME_LETTERS));
}

/** The same for a page that shows it. */
export function useDeviceName(): string {
  return setting.useText() ?? "";
}
