"use client";

import { parseMegohms } from "@/core";
import type { NextCheck, ProvingObservation } from "@/core/proving";
import { localDay } from "../parts/useLocalDay";
import { BigEntry } from "./BigEntry";

/** An insulation test after a trip: megohms as the tester shows them, ">1000" where its range ended. */
export function InsulationEntry({
  check,
  label,
  onSeen,
}: {
  check: Extract<NextCheck, { what: "insulation" }>;
  label: string;
  onSeen: (seen: ProvingObservation) => void;
}) {
  const enter = (typed: string): string | null => {
    const read = parseMegohms(typed);
    if (!read.ok) return read.faults[0]?.says ?? "";
    const { megohms, orMore } = read;
    onSeen({
      what: "insulation",
      on: localDay(new Date()),
      lead: check.lead,
      megohms,
      ...(orMore ? { orMore } : {}),
    });
    return null;
  };
  return <BigEntry label={label} unit="MΩ" letters onEnter={enter} />;
}
