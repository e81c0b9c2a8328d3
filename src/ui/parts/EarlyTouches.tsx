"use client";

import { useEffect } from "react";
import { replayEarly } from "./earlyTouches";

/** Stands once in the page's frame: from its first effect on the page listens, and what was touched before is done. */
export function EarlyTouches() {
  useEffect(() => {
    void replayEarly();
  }, []);
  return null;
}
