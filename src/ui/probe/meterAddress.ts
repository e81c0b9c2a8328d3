"use client";

import { type MeterAddress, meterAddress } from "@/contract/routes/meter";
import { deviceSetting } from "../parts/deviceSetting";

/** Raw SCPI over TCP is found here by custom. */
export const USUAL_PORT = 5025;

const setting = deviceSetting("meter-address");

/** The meter's address as it was typed on this device, and how to change it; null where none was. */
export function useMeterAddress(): [MeterAddress | null, (address: MeterAddress | null) => void] {
  return [addressOf(setting.useText()), keep];
}

function keep(address: MeterAddress | null): void {
  setting.keep(address ? JSON.stringify(address) : null);
}

function addressOf(text: string | null): MeterAddress | null {
  if (text === null) return null;
  try {
    const read = meterAddress.safeParse(JSON.parse(text));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}
