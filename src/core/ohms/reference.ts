import { type Conductor, ohmsAtTemperature } from "./windingTemperature";

/** Ohms that a plate, a manual or an earlier sheet gives between two leads. */
export interface ReferenceOhms {
  readonly between: readonly [string, string];
  readonly ohms: number;
  /** Per cent either way; 5 where the source gives none. */
  readonly tolerancePercent?: number;
}

/** A reading to hold against it: motor ohms, probes and cable taken off; null for open. */
export interface MeasuredOhms {
  readonly between: readonly [string, string];
  readonly ohms: number | null;
  /** Standard deviation of the reading, ohms. */
  readonly sigmaOhms: number;
}

/** One place of the reference held against what was read there. */
export interface ReferenceLine {
  readonly between: readonly [string, string];
  /** Ohms the reference gives, at the temperature of the reading. */
  readonly expectedOhms: number;
  /** What was read; null for open, undefined where nothing was read. */
  readonly measuredOhms: number | null | undefined;
  readonly verdict: "within" | "low" | "high" | "open" | "not-read";
}

/** What the whole comparison comes to. */
export interface ReferenceVerdict {
  readonly overall: "good" | "shorted" | "poor-joint" | "open" | "mixed-up" | "mixed" | "nothing-read";
  readonly lines: readonly ReferenceLine[];
  /** For leads mixed up: which lead stands where which should, by the names of the reference. */
  readonly swapped: Readonly<Record<string, string>>;
  readonly says: string;
}

/** Tolerance where a source gives none, per cent either way. */
export const USUAL_TOLERANCE_PERCENT = 5;
/** A reading's own error stretches the tolerance by so many standard deviations. */
const READING_SIGMAS = 2;

/**
 * Holds readings against a reference, place by place, the reference brought to the temperature of the winding. All
 * within: good. One or all low: shorted turns, or a reference of another motor. One high: a poor joint, a corroded
 * splice, a broken strand. Some high and some low, and another order of the leads makes all fit: the leads are mixed
 * up, and `swapped` says how. Search for the order: depth-first with every reading checked as soon as both its leads
 * stand, exact.
 */
export function compareWithReference(
  reference: readonly ReferenceOhms[],
  measured: readonly MeasuredOhms[],
  at: { readonly referenceC?: number; readonly windingC?: number; readonly conductor?: Conductor } = {},
): ReferenceVerdict {
  const { referenceC = 25, windingC = referenceC, conductor = "copper" } = at;
  const warm = reference.map((entry) => ({
    ...entry,
    ohms: ohmsAtTemperature(entry.ohms, referenceC, windingC, conductor),
  }));
  const lines = warm.map((entry): ReferenceLine => {
    const found = measured.find((m) => sameEnds(m.between, entry.between));
    return {
      between: entry.between,
      expectedOhms: entry.ohms,
      measuredOhms: found?.ohms,
      verdict: found ? verdictOf(entry, found) : "not-read",
    };
  });
  const read = lines.filter((line) => line.verdict !== "not-read");
  const count = (verdict: ReferenceLine["verdict"]) => read.filter((l) => l.verdict === verdict).length;
  const [low, high, open] = [count("low"), count("high"), count("open")];
  const said = (overall: ReferenceVerdict["overall"], says: string, swapped = {}) => ({
    overall,
    lines,
    swapped,
    says,
  });
  if (read.length === 0)
    return said("nothing-read", "None of the places that the reference gives has been read.");
  if (low + high + open === 0) return said("good", "All within the tolerance of the reference.");
  const swapped = low > 0 && (high > 0 || open > 0) ? orderThatFits(warm, measured) : null;
  if (swapped) {
    const moved = Object.entries(swapped).filter(([from, to]) => from !== to);
    const words = moved.map(([from, to]) => `${from} is where ${to} should be`).join(", ");
    return said("mixed-up", `The leads are mixed up: ${words}. In that order all readings fit.`, swapped);
  }
  if (open > 0)
    return said("open", "Open where the reference gives ohms: broken, or a protector that is hot.");
  if (high === 0)
    return said("shorted", "Low against the reference: shorted turns, or a reference of another motor.");
  if (low === 0)
    return said(
      "poor-joint",
      "High against the reference: a poor joint, a corroded splice or a broken strand.",
    );
  return said(
    "mixed",
    "Some high and some low, and no order of the leads makes all fit. Read the table again.",
  );
}

function sameEnds(a: readonly [string, string], b: readonly [string, string]): boolean {
  return (a[0] === b[0] && a[1] === b[1]) || (a[0] === b[1] && a[1] === b[0]);
}

function verdictOf(entry: ReferenceOhms, { ohms, sigmaOhms }: MeasuredOhms): ReferenceLine["verdict"] {
  if (ohms === null) return "open";
  const slack =
    (entry.ohms * (entry.tolerancePercent ?? USUAL_TOLERANCE_PERCENT)) / 100 + READING_SIGMAS * sigmaOhms;
  if (ohms < entry.ohms - slack) return "low";
  return ohms > entry.ohms + slack ? "high" : "within";
}

/** For each lead that was read the name it must have for all to fit; null where no order does. */
function orderThatFits(
  reference: readonly ReferenceOhms[],
  measured: readonly MeasuredOhms[],
): Record<string, string> | null {
  const leads = [...new Set(measured.flatMap((m) => m.between))];
  const names = [...new Set(reference.flatMap((entry) => entry.between))];
  const as = new Map<string, string>();
  const fits = (lead: string) =>
    measured.every((m) => {
      if (!m.between.includes(lead)) return true;
      const [one, other] = m.between.map((end) => as.get(end));
      if (one === undefined || other === undefined) return true;
      const entry = reference.find((e) => sameEnds(e.between, [one, other]));
      return entry ? verdictOf(entry, m) === "within" : true;
    });
  const place = (at: number): boolean => {
    const lead = leads[at];
    if (lead === undefined) return true;
    // Its own name first, so that as few leads as can be are said to be swapped.
    for (const name of [lead, ...names.filter((n) => n !== lead)]) {
      if (!names.includes(name) || [...as.values()].includes(name)) continue;
      as.set(lead, name);
      if (fits(lead) && place(at + 1)) return true;
      as.delete(lead);
    }
    return false;
  };
  return place(0) ? Object.fromEntries(as) : null;
}
