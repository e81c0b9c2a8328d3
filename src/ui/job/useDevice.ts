"use client";

import { useSyncExternalStore } from "react";
import { deviceId } from "@/store/making";

/** No device: on the server there is nothing to undo. */
const NONE = "";
const never = () => () => undefined;

/** The name of this device among all, for a page that shows what was done here. */
export function useDevice(): string {
  return useSyncExternalStore(never, deviceId, () => NONE);
}
