"use client";

import { useEffect } from "react";

/**
 * Keeps the screen awake while this stands on the page: both hands hold probes. The browser lets go of it whenever the
 * page is hidden, so it is asked for again when it is seen; where it is refused nothing is lost but the light.
 */
export function useWakeLock(): void {
  useEffect(() => {
    if (!("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let left = false;
    const ask = async () => {
      if (document.visibilityState !== "visible") return;
      try {
        const got = await navigator.wakeLock.request("screen");
        if (left) await got.release();
        else lock = got;
      } catch {
        // Refused, as on a nearly empty battery.
      }
    };
    void ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      left = true;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, []);
}
