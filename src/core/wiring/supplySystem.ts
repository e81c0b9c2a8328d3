/** What a supply is, from volts measured before it is locked off. */
export interface SupplySystem {
  readonly kind: "split-phase" | "wye" | "high-leg" | "unknown";
  /** Volts it is called by between its lines; null where the readings do not say. */
  readonly system: 115 | 208 | 230 | 277 | 400 | 460 | null;
  readonly says: string;
}

/** Line to line over line to neutral: twice in split phase, √3 in wye; each good to this (handbook of the trade). */
const RATIO = { split: 2, wye: Math.sqrt(3), near: 0.07 } as const;
/** Ranges of the named systems between lines, volts; 208 and 230 overlap. */
const RANGES = [
  [208, 187, 229],
  [230, 207, 253],
  [277, 260, 300],
  [400, 380, 415],
  [460, 432, 506],
] as const;
/** A leg this many times another is the high leg of a delta with a grounded middle. */
const HIGH_LEG = Math.sqrt(3);
const HIGH_LEG_NEAR = 0.07;

/**
 * Which system the lines belong to: where volts overlap, the ratio of line-to-line to line-to-neutral volts decides.
 *
 * @param lineToLine volts between two lines.
 * @param lineToNeutral volts of each of those lines to the neutral, as far as they were measured.
 */
export function supplySystem(lineToLine: number, lineToNeutral: readonly number[]): SupplySystem {
  const named = RANGES.filter(([, low, high]) => lineToLine >= low && lineToLine <= high).map(
    ([name]) => name,
  );
  const volts = `${Math.round(lineToLine)} V between the lines`;
  if (lineToNeutral.length === 0) {
    const [only] = named;
    if (named.length === 1 && only)
      return { kind: "unknown", system: only, says: `${volts}: the ${only}-V system.` };
    return {
      kind: "unknown",
      system: null,
      says: `${volts}${named.length > 1 ? " may be 208 or 230" : " is no usual system"}: measure a line to the neutral too; their ratio decides.`,
    };
  }
  const [least, most] = [Math.min(...lineToNeutral), Math.max(...lineToNeutral)];
  if (lineToNeutral.length > 1 && Math.abs(most / least - HIGH_LEG) <= HIGH_LEG_NEAR)
    return {
      kind: "high-leg",
      system: 230,
      says: `One leg stands at ${Math.round(most)} V to the neutral, the other at ${Math.round(least)}: a high leg. No 120-V load on it; between the lines it is the 230-V system.`,
    };
  const ratio = lineToLine / (lineToNeutral.reduce((sum, v) => sum + v, 0) / lineToNeutral.length);
  const shown = `${volts}, ${ratio.toFixed(2)} times the volts to neutral`;
  if (Math.abs(ratio - RATIO.split) <= RATIO.near)
    return { kind: "split-phase", system: 230, says: `${shown}: split phase, the 230-V system.` };
  if (Math.abs(ratio - RATIO.wye) <= RATIO.near) {
    const system = named.find((name) => name !== 230) ?? (named.includes(230) ? 208 : null);
    return {
      kind: "wye",
      system,
      says: `${shown}: a wye${system === 208 ? ", 208/120: a motor for 230 V alone has four fifths of its torque here" : ""}.`,
    };
  }
  return {
    kind: "unknown",
    system: null,
    says: `${shown}: neither split phase (2.00) nor wye (1.73). Measure again.`,
  };
}
