"use client";

import { type MeterAddress, meterAddress } from "@/contract/routes/meter";
import type { InstrumentKind } from "@/core/proving";
import { type DeviceSetting, deviceSetting } from "./deviceSetting";

/** Raw SCPI over TCP is found here by custom. */
export const USUAL_PORT = 5025;

const SETTINGS: Readonly<Record<InstrumentKind, DeviceSetting>> = {
  ohms: deviceSetting("meter-address"),
  amps: deviceSetting("clamp-address"),
  volts: deviceSetting("voltmeter-address"),
  microfarads: deviceSetting("capacitance-address"),
  rpm: deviceSetting("tachometer-address"),
  megohms: deviceSetting("insulation-tester-address"),
};

/** The address of this device's instrument of a kind as it was typed, and how to change it; null where none was. */
export function useInstrumentAddress(
  kind: InstrumentKind,
): [MeterAddress | null, (address: MeterAddress | null) => void] {
  const setting = SETTINGS[kind];
  const keep = (address: MeterAddress | null) => setting.keep(address ? JSON.stringify(address) : null);
  return [addressOf(setting.useText()), keep];
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
