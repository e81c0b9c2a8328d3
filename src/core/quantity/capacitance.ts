import { type Fault, fault, type Refused, refused } from "./fault";
import { digits } from "./number";

/** A capacitor's label as it is written: one value, the two of a dual, or the band of a start capacitor. */
export type CapacitorLabel = {
  readonly volts?: number;
  readonly tolerancePercent?: number;
} & (
  | { readonly kind: "single"; readonly microfarads: number }
  /** The compressor's half first, as duals are written: 35+5. */
  | { readonly kind: "dual"; readonly hermMicrofarads: number; readonly fanMicrofarads: number }
  | { readonly kind: "start"; readonly lowMicrofarads: number; readonly highMicrofarads: number }
);

const MOST_MICROFARADS = 2000;
const MOST_VOLTS = 1000;
const UNIT = /(?<=[\d\s])(?:µf|μf|uf|mfd|mf|mmf|microfarads?)\b\.?|\bat\b|@/gi;
/** What else a can says, and what tells nothing of its value: mains, hours, safety and climate class, a type word. */
const BESIDE = [
  /\b\d{2}\s*(?:\/\s*\d{2}\s*)?hz\b\.?/gi,
  /\b\d{3,6}\s*(?:h(?:rs?|ours?)?|afc)\b\.?/gi,
  /\b[sp][0-3]\b/gi,
  /\bclass\s*[a-d]\b/gi,
  /\b\d{2}\/\d{2,3}\/\d{2}\b/g,
  /^(?=[a-z\d-]*[a-z])[a-z][a-z\d-]*\s+(?=\d)/i,
] as const;
/** Two ratings of volts on one can, "370/440 VAC": it may serve at either, so it is made for the higher. */
const TWO_VOLTS = /(\d{3})\s*(?:\/\s*(\d{3})(?=\s*(?:v|$))|[-–]\s*(\d{3})(?=\s*v))/i;
/** A band behind a stroke: run capacitors end below it, and a band's ends lie this near to one another. */
const LEAST_OF_A_BAND = 80;
const WIDEST_BAND = 1.35;
const FIGURES =
  /^(\d{1,4}(?:\.\d{1,3})?)(?:\s*(\+|[-–]|\/|&)\s*(\d{1,4}(?:\.\d{1,3})?)(v)?)?(?:\s*[/,\s]\s*(\d{2,4})v?)?$/;

/**
 * Reads a capacitor as a hand types it: "5 MFD 370", "5/370", "7.5 µF 440 V ±6%", "35+5 440", "35/5/370", "88-108 uF
 * 125V", or as it is printed whole: "45+5 uF ±6% 370/440 VAC 50/60Hz". Volts may be left out.
 */
export function parseCapacitor(text: string): { ok: true; label: CapacitorLabel } | Refused {
  let rest = text.trim();
  const percent = /(?:±|\+\/?-|\+-)?\s*(\d{1,2}(?:\.\d)?)\s*%/.exec(rest);
  if (percent) rest = rest.replace(percent[0], " ").trim();
  for (const beside of BESIDE) rest = rest.replace(beside, " ");
  rest = rest
    .replace(UNIT, " ")
    .replace(/(\d)\s*(?:volts?|vac|v\s*~|v)(?=\W|$)\.?/gi, "$1v ")
    .replace(/(\d),(\d{1,3})(?=\D|$)/g, "$1.$2")
    .replace(
      TWO_VOLTS,
      (_, one: string, other?: string, top?: string) => ` ${Math.max(Number(one), Number(other ?? top))}`,
    )
    .replace(/\s+/g, " ");
  const match = FIGURES.exec(rest.trim());
  if (!match) return refused(notCapacitor(text));
  const [, one = "", between, other, isVolts, rating] = match;
  const first = Number(one);
  const second = other === undefined ? null : Number(other);
  if (isVolts !== undefined && (between !== "/" || rating !== undefined)) return refused(notCapacitor(text));
  const volts = rating === undefined ? undefined : Number(rating);
  const label = isVolts
    ? ({ kind: "single", microfarads: first, volts: second ?? 0 } as const)
    : labelOf(first, between, second, volts);
  if (!label) return refused(notCapacitor(text));
  const values =
    label.kind === "single"
      ? [label.microfarads]
      : label.kind === "dual"
        ? [label.hermMicrofarads, label.fanMicrofarads]
        : [label.lowMicrofarads, label.highMicrofarads];
  if (values.some((value) => value <= 0 || value > MOST_MICROFARADS))
    return refused(fault("out-of-range", "Motor capacitors lie between 0 and 2000 µF."));
  if (label.volts !== undefined && (label.volts < 50 || label.volts > MOST_VOLTS))
    return refused(fault("out-of-range", "Motor capacitors are made for 50 to 1000 volts."));
  return { ok: true, label: percent ? { ...label, tolerancePercent: Number(percent[1]) } : label };
}

function labelOf(
  first: number,
  between: string | undefined,
  second: number | null,
  volts: number | undefined,
): CapacitorLabel | null {
  const rated = volts === undefined ? {} : { volts };
  if (second === null) return { kind: "single", microfarads: first, ...rated };
  if (between === "-" || between === "–")
    return second > first
      ? { kind: "start", lowMicrofarads: first, highMicrofarads: second, ...rated }
      : null;
  if (between === "/" && first >= LEAST_OF_A_BAND && second > first && second <= WIDEST_BAND * first)
    return { kind: "start", lowMicrofarads: first, highMicrofarads: second, ...rated };
  // "5/370": the second figure of a stroke is volts where it can only be that.
  if (between === "/" && volts === undefined && second >= 100)
    return { kind: "single", microfarads: first, volts: second };
  return {
    kind: "dual",
    hermMicrofarads: Math.max(first, second),
    fanMicrofarads: Math.min(first, second),
    ...rated,
  };
}

/** A label in full: "5 µF, 370 V", "35 + 5 µF (compressor + fan), 440 V", "88–108 µF, 125 V". */
export function formatCapacitor(label: CapacitorLabel): string {
  const value =
    label.kind === "single"
      ? `${digits(label.microfarads, 4)} µF`
      : label.kind === "dual"
        ? `${digits(label.hermMicrofarads, 4)} + ${digits(label.fanMicrofarads, 4)} µF (compressor + fan)`
        : `${label.lowMicrofarads}–${label.highMicrofarads} µF start`;
  const volts = label.volts === undefined ? "volts not said" : `${label.volts} V`;
  const tolerance = label.tolerancePercent === undefined ? "" : `, ±${label.tolerancePercent} %`;
  return `${value}, ${volts}${tolerance}`;
}

function notCapacitor(text: string): Fault {
  return fault(
    "not-a-capacitor",
    `“${text.trim()}” is no capacitor. Write 5 MFD 370, 35+5 440 or 88-108 125.`,
  );
}
