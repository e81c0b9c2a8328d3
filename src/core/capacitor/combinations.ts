import { digits } from "../quantity/number";
import { inSeries, type ShelfCapacitor, sideBySide } from "./shelf";

/** What is wanted of a run capacitor. */
export interface RunNeed {
  readonly microfarads: number;
  /** The volts it must be rated for at least. */
  readonly volts: number;
  /** How far the value may lie off, per cent of it. */
  readonly tolerancePercent: number;
}

/** One part of a combination: a shelf part, or one or both halves of a dual. */
export interface CombinedPart {
  readonly id: string;
  readonly name: string;
  /** Which of its terminals are used: of a dual C–HERM, C–FAN, or both halves joined. */
  readonly use: "whole" | "herm" | "fan" | "both-halves";
  readonly microfarads: number;
  readonly ratedVolts: number;
  /** What it would stand at when the whole stands at the wanted volts. */
  readonly shareVolts: number;
}

/** A way to make the wanted value from what is on the shelf. */
export interface Combination {
  readonly parts: readonly CombinedPart[];
  readonly wiring: "one" | "side-by-side" | "series" | "pair-then-series" | "series-then-beside";
  readonly microfarads: number;
  /** How far off the wanted value, per cent, signed. */
  readonly missPercent: number;
  /** A stopgap keeps the machine going until the right part is there; the record says so. */
  readonly permanence: "permanent" | "stopgap";
  readonly says: string;
}

/** Rounding must not shut out what lies on the edge of the tolerance. */
const EDGE = 1e-9;
const MOST_SHOWN = 60;
/** With more different parts on the shelf than this, threes are not looked for: there are twos enough. */
const MOST_FOR_THREES = 45;

interface Choice {
  readonly part: ShelfCapacitor;
  readonly use: CombinedPart["use"];
  readonly microfarads: number;
}

/**
 * Every combination of one to three parts on the shelf that comes within the tolerance and stands the volts: side by
 * side the lowest rated volts rule, in series the volts divide inversely as the values and each part must stand its
 * share. A dual counts as either half, or both side by side. Single parts first, then fewest parts, then nearest.
 */
export function combinations(shelf: readonly ShelfCapacitor[], need: RunNeed): Combination[] {
  const choices = unlikeParts(shelf).flatMap(choicesOf);
  const threes = choices.length <= MOST_FOR_THREES;
  const found: Combination[] = [];
  const consider = (wiring: Combination["wiring"], list: readonly Choice[]) => {
    if (!enoughOfEach(list)) return;
    const made = combine(wiring, list, need);
    if (made) found.push(made);
  };
  choices.forEach((a, i) => {
    consider("one", [a]);
    choices.slice(i).forEach((b, j) => {
      consider("side-by-side", [a, b]);
      consider("series", [a, b]);
      for (const c of threes ? choices.slice(i + j) : []) {
        consider("side-by-side", [a, b, c]);
        consider("series", [a, b, c]);
        for (const [x, y, z] of [
          [a, b, c],
          [a, c, b],
          [b, c, a],
        ] as const) {
          consider("pair-then-series", [x, y, z]);
          consider("series-then-beside", [x, y, z]);
        }
      }
    });
  });
  return unlike(found).sort(better).slice(0, MOST_SHOWN);
}

/** One of each label that is on hand: parts alike in all make the same combinations. */
function unlikeParts(shelf: readonly ShelfCapacitor[]): ShelfCapacitor[] {
  const byLabel = new Map<string, ShelfCapacitor>();
  for (const part of shelf) {
    if (part.count <= 0 || part.kind === "start") continue;
    const values =
      part.kind === "single" ? part.microfarads : `${part.hermMicrofarads}+${part.fanMicrofarads}`;
    const key = `${values}/${part.volts}`;
    const known = byLabel.get(key);
    if (!known || known.count < part.count) byLabel.set(key, part);
  }
  return [...byLabel.values()];
}

function choicesOf(part: ShelfCapacitor): Choice[] {
  if (part.kind === "single") return [{ part, use: "whole", microfarads: part.microfarads }];
  if (part.kind !== "dual") return [];
  const { hermMicrofarads: herm, fanMicrofarads: fan } = part;
  return [
    { part, use: "fan", microfarads: fan },
    { part, use: "herm", microfarads: herm },
    { part, use: "both-halves", microfarads: herm + fan },
  ];
}

/** A can is in one place: of one kind no more are used than there are, whatever halves are taken. */
function enoughOfEach(list: readonly Choice[]): boolean {
  return list.every(({ part }) => list.filter((other) => other.part.id === part.id).length <= part.count);
}

function combine(wiring: Combination["wiring"], list: readonly Choice[], need: RunNeed): Combination | null {
  const values = list.map(({ microfarads }) => microfarads);
  const [x = 0, y = 0, z = 0] = values;
  const whole =
    wiring === "one" || wiring === "side-by-side"
      ? sideBySide(values)
      : wiring === "series"
        ? inSeries(values)
        : wiring === "pair-then-series"
          ? inSeries([x + y, z])
          : inSeries([x, y]) + z;
  const missPercent = (100 * (whole - need.microfarads)) / need.microfarads;
  if (Math.abs(missPercent) > need.tolerancePercent + EDGE) return null;
  const shares = sharesOf(wiring, values, whole, need.volts);
  const parts = list.map(({ part, use, microfarads }, i): CombinedPart => {
    const shareVolts = shares[i] ?? need.volts;
    return { id: part.id, name: part.name, use, microfarads, ratedVolts: part.volts, shareVolts };
  });
  if (parts.some(({ ratedVolts, shareVolts }) => ratedVolts < shareVolts - EDGE)) return null;
  const plain = parts.every(({ use }) => use === "whole");
  const permanence =
    plain && (wiring === "one" || (wiring === "side-by-side" && parts.length === 2))
      ? "permanent"
      : "stopgap";
  return {
    parts,
    wiring,
    microfarads: whole,
    missPercent,
    permanence,
    says: sayCombination(wiring, parts, whole, need, permanence),
  };
}

/** Volts on each part when the whole stands at `volts`: charge in series is one, so volts go inversely as the values. */
function sharesOf(
  wiring: Combination["wiring"],
  values: readonly number[],
  whole: number,
  volts: number,
): number[] {
  const [x = 0, y = 0, z = 0] = values;
  switch (wiring) {
    case "series":
      return values.map((value) => (volts * whole) / value);
    case "pair-then-series":
      return [(volts * whole) / (x + y), (volts * whole) / (x + y), (volts * whole) / z];
    case "series-then-beside": {
      const two = inSeries([x, y]);
      return [(volts * two) / x, (volts * two) / y, volts];
    }
    default:
      return values.map(() => volts);
  }
}

const USE_WORDS: Readonly<Record<CombinedPart["use"], string>> = {
  whole: "",
  fan: ", C and FAN only",
  herm: ", C and HERM only",
  "both-halves": ", HERM and FAN joined against C",
};

function sayCombination(
  wiring: Combination["wiring"],
  parts: readonly CombinedPart[],
  whole: number,
  need: RunNeed,
  permanence: Combination["permanence"],
): string {
  const each = parts.map(({ name, use }) => `${name}${USE_WORDS[use]}`);
  const how =
    wiring === "one"
      ? (each[0] ?? "")
      : wiring === "side-by-side"
        ? `${each.join(" beside ")}`
        : wiring === "series"
          ? `${each.join(" in series with ")}`
          : wiring === "pair-then-series"
            ? `${each[0]} beside ${each[1]}, both in series with ${each[2]}`
            : `${each[0]} in series with ${each[1]}, both beside ${each[2]}`;
  const miss = (100 * (whole - need.microfarads)) / need.microfarads;
  const off = Math.abs(miss) < 0.05 ? "exact" : `${miss > 0 ? "+" : "−"}${Math.abs(miss).toFixed(1)} %`;
  const series = wiring === "one" || wiring === "side-by-side" ? "" : `; ${shareWords(parts)}`;
  const until =
    permanence === "stopgap"
      ? " A stopgap until the right part is there."
      : parts.length > 1
        ? " Both strapped, terminals covered."
        : "";
  return `${how}: ${digits(whole, 4)} µF, ${off}${series}.${until}`;
}

function shareWords(parts: readonly CombinedPart[]): string {
  return parts
    .map(({ shareVolts, ratedVolts }) => `${Math.round(shareVolts)} V on the ${ratedVolts} V part`)
    .join(", ");
}

/** The same parts in the same wiring, in another order, is the same combination. */
function unlike(found: readonly Combination[]): Combination[] {
  const byKey = new Map<string, Combination>();
  for (const one of found) {
    const names = one.parts.map(({ id, use }) => `${id}/${use}`);
    const key =
      one.wiring === "pair-then-series" || one.wiring === "series-then-beside"
        ? `${one.wiring} ${names.slice(0, 2).sort().join(" ")} | ${names[2]}`
        : `${one.wiring} ${[...names].sort().join(" ")}`;
    if (!byKey.has(key)) byKey.set(key, one);
  }
  return [...byKey.values()];
}

function better(one: Combination, other: Combination): number {
  const rank = ({ parts, permanence }: Combination) =>
    parts.length === 1 && permanence === "permanent" ? 0 : parts.length;
  return (
    rank(one) - rank(other) ||
    Number(one.permanence === "stopgap") - Number(other.permanence === "stopgap") ||
    Math.abs(one.missPercent) - Math.abs(other.missPercent) ||
    one.says.localeCompare(other.says)
  );
}
