"use client";

import { useEffect, useState } from "react";

/** What is longer on its way than this is not waited for. */
const MOMENT_MS = 3000;

/**
 * True for a moment while a page opens and what it begins with did not come with it: what stands under that would be
 * pushed down when it comes, away from a finger that is about to touch it.
 *
 * @param comes whether it is on its way.
 */
export function useAtFirst(comes: boolean): boolean {
  const [waited, setWaited] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setWaited(true), comes ? MOMENT_MS : 0);
    return () => clearTimeout(timer);
  }, [comes]);
  return comes && !waited;
}
