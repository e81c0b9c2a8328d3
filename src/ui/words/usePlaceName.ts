"use client";

import { useCallback } from "react";
import { placeName } from "@/core/wiring";
import { usePlaceWords } from "./UsageProvider";

/** What a place of an equipment is called, in the words that are shown. */
export function usePlaceName(): typeof placeName {
  const words = usePlaceWords();
  return useCallback((...of: Parameters<typeof placeName>) => words(placeName(...of)), [words]);
}
