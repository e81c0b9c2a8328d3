import type { Finding } from "../identification";
import { capitalised, listed } from "../reasoning";
import { type FindingContext, idsOf, ohmsIn, wordOf } from "./context";

/** So many readings of one pair, each clearly above the one before, are a climb and no scatter. */
const CLIMB_READINGS = 3;
const CLIMB_SHARE = 0.05;

/** Pairs that were read more than once and not alike: climbing, as a capacitor does, or just unsteady. */
export function repeatFindings(context: Omit<FindingContext, "answers">): Finding[] {
  return context.evidence.pairs.flatMap((pair): Finding[] => {
    const leads = idsOf(context, [pair.a, pair.b]);
    const both = listed([wordOf(context, pair.a), wordOf(context, pair.b)]);
    if (climbs(pair.shown)) {
      const from = ohmsIn(context, pair.shown[0] ?? null);
      const to = ohmsIn(context, pair.shown.at(-1) ?? null);
      return [
        {
          code: "capacitor-still-connected",
          severity: "doubt",
          leads,
          says: `${capitalised(both)} climbed from ${from} to ${to} and did not settle: a capacitor is still connected between them. Discharge it through a resistor, prove it dead, take it off, then read again.`,
        },
      ];
    }
    if (pair.discarded.length === 0) return [];
    if (pair.ohms !== null && pair.discarded.every((ohms) => ohms === null))
      return [
        {
          code: "reading-unsteady",
          severity: "note",
          leads,
          says: `${capitalised(both)} read open before and reads through now: a hot protector has closed, or the probes had not touched.`,
        },
      ];
    const discarded = listed(pair.discarded.map((ohms) => ohmsIn(context, ohms)));
    return [
      {
        code: "reading-unsteady",
        severity: "note",
        leads,
        says: `${capitalised(both)} was read more than once, not alike; the latest stands, not ${discarded}.`,
      },
    ];
  });
}

function climbs(shown: readonly (number | null)[]): boolean {
  if (shown.length < CLIMB_READINGS || shown[0] === null) return false;
  return shown.slice(1).every((value, i) => {
    const before = shown[i] ?? null;
    if (before === null) return value === null;
    return value === null || value > before * (1 + CLIMB_SHARE);
  });
}
