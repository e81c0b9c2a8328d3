import type { CapacitorLabel } from "../quantity/capacitance";
import { digits } from "../quantity/number";
import { combinations } from "./combinations";
import { isWithin } from "./runPlan";
import type { ShelfCapacitor } from "./shelf";
import { judgeStart } from "./start";
import { RUN_VOLTS, USUAL_TOLERANCE_PERCENT } from "./values";

/** One way to replace the old capacitor, with the parts it takes. */
export interface ReplacementWay {
  readonly parts: readonly { readonly id: string; readonly name: string; readonly count: number }[];
  readonly says: string;
  readonly permanence: "permanent" | "stopgap";
}

/** What takes the old capacitor's place, from its own label alone. */
export interface LikeForLike {
  /** What to fit, in one sentence: "Use 5 µF, 440 V or higher." */
  readonly use: string;
  /** The volts it must be rated for at least. */
  readonly volts: number;
  /** Same value, same volts. */
  readonly like: readonly ReplacementWay[];
  /** Same value, higher volts. */
  readonly better: readonly ReplacementWay[];
  /** Made of several parts, or for today only. */
  readonly otherwise: readonly ReplacementWay[];
  readonly notes: readonly string[];
}

/** A value is the same where it differs by no more than rounding on labels. */
const SAME_PERCENT = 1;
const MOST_OTHERWISE = 8;

/**
 * The same motors stay: the old capacitor is replaced by its like. Same value and volts first, then the same value at
 * higher volts, then what can be made of several. A start capacitor is replaced by its own band only. A label that
 * gives no volts asks for the higher of the usual ratings, which serves for the lower as well.
 */
export function likeForLike(
  old: CapacitorLabel,
  shelf: readonly ShelfCapacitor[],
  { hertz, tolerancePercent }: { readonly hertz: 50 | 60; readonly tolerancePercent?: number },
): LikeForLike {
  const onHand = shelf.filter(({ count }) => count > 0);
  switch (old.kind) {
    case "single":
      return single(old, onHand, ratedVolts(old, hertz), toleranceOf(old, tolerancePercent));
    case "dual":
      return dual(old, onHand, ratedVolts(old, hertz), toleranceOf(old, tolerancePercent));
    case "start":
      return start(old, onHand);
  }
}

interface Rated {
  readonly volts: number;
  readonly said: boolean;
}

function ratedVolts({ volts }: CapacitorLabel, hertz: 50 | 60): Rated {
  return volts === undefined ? { volts: Math.max(...RUN_VOLTS[hertz]), said: false } : { volts, said: true };
}

function toleranceOf(label: CapacitorLabel, chosen: number | undefined): number {
  return chosen ?? label.tolerancePercent ?? USUAL_TOLERANCE_PERCENT;
}

function single(
  old: Extract<CapacitorLabel, { kind: "single" }>,
  shelf: readonly ShelfCapacitor[],
  rated: Rated,
  tolerancePercent: number,
): LikeForLike {
  const { microfarads } = old;
  const same = shelf.filter(
    (part) => part.kind === "single" && isWithin(part.microfarads, microfarads, SAME_PERCENT),
  );
  const whole = new Set(same.map(({ id }) => id));
  const made = combinations(shelf, { microfarads, volts: rated.volts, tolerancePercent })
    .filter(({ wiring, parts }) => wiring !== "one" || parts.some(({ id }) => !whole.has(id)))
    // What may stay comes before what is for today; a stable sort leaves the rest as it is ranked.
    .sort((a, b) => Number(a.permanence === "stopgap") - Number(b.permanence === "stopgap"));
  return {
    use: `Use ${digits(microfarads, 4)} µF, ${rated.volts} V or higher.`,
    volts: rated.volts,
    ...byVolts(same, rated),
    otherwise: made.slice(0, MOST_OTHERWISE).map(({ parts, says, permanence }) => ({
      parts: counted(parts),
      says,
      permanence,
    })),
    notes: [...voltsNote(rated), ...ROUND_OR_OVAL],
  };
}

function dual(
  old: Extract<CapacitorLabel, { kind: "dual" }>,
  shelf: readonly ShelfCapacitor[],
  rated: Rated,
  tolerancePercent: number,
): LikeForLike {
  const { hermMicrofarads: herm, fanMicrofarads: fan } = old;
  const same = shelf.filter(
    (part) =>
      part.kind === "dual" &&
      isWithin(part.hermMicrofarads, herm, SAME_PERCENT) &&
      isWithin(part.fanMicrofarads, fan, SAME_PERCENT),
  );
  return {
    use: `Use a dual of ${digits(herm, 4)} + ${digits(fan, 4)} µF, ${rated.volts} V or higher: HERM to the compressor, FAN to the fan.`,
    volts: rated.volts,
    ...byVolts(same, rated),
    otherwise: twoSingles({ herm, fan }, shelf, rated.volts, tolerancePercent),
    notes: [
      ...voltsNote(rated),
      "A dual of which one half has failed is replaced whole.",
      "Volts may be higher, never lower. The can’s diameter decides the bracket, its height does not.",
    ],
  };
}

/** A dual is two capacitors with one terminal in common: two singles joined there do the same. */
function twoSingles(
  { herm, fan }: { herm: number; fan: number },
  shelf: readonly ShelfCapacitor[],
  volts: number,
  tolerancePercent: number,
): ReplacementWay[] {
  const near = (microfarads: number) =>
    shelf
      .flatMap((part) =>
        part.kind === "single" &&
        part.volts >= volts &&
        isWithin(part.microfarads, microfarads, tolerancePercent)
          ? [{ part, miss: Math.abs(part.microfarads - microfarads) }]
          : [],
      )
      .sort((a, b) => a.miss - b.miss || a.part.volts - b.part.volts);
  const [forHerm] = near(herm);
  const forFan = near(fan).find(({ part }) => part.id !== forHerm?.part.id || part.count > 1);
  if (!forHerm || !forFan) return [];
  return [
    {
      parts: counted([forHerm.part, forFan.part]),
      says: `Two singles: ${forHerm.part.name} as HERM, ${forFan.part.name} as FAN, one terminal of each joined to what was on C. Both strapped down, terminals covered.`,
      permanence: "permanent",
    },
  ];
}

function start(
  old: Extract<CapacitorLabel, { kind: "start" }>,
  shelf: readonly ShelfCapacitor[],
): LikeForLike {
  const same = shelf.filter((part) => part.kind === "start" && judgeStart(old, part).fits);
  const rated = { volts: old.volts ?? 0, said: old.volts !== undefined };
  return {
    use: `Use a start capacitor of ${old.lowMicrofarads}–${old.highMicrofarads} µF, ${rated.said ? `${old.volts} V or higher` : "with the old one’s volts or higher"}.`,
    volts: rated.volts,
    ...(rated.said ? byVolts(same, rated) : { like: [], better: [] }),
    otherwise: [],
    notes: [
      ...(rated.said ? [] : ["Its volts decide: read them on the old one or on the motor’s drawing first."]),
      "Nothing else replaces a start capacitor: neither another band nor lower volts.",
      "It stays in the circuit for seconds only. Where it burst, test the switch or relay that should have taken it out.",
    ],
  };
}

function byVolts(same: readonly ShelfCapacitor[], { volts }: Rated): Pick<LikeForLike, "like" | "better"> {
  const ways = (fits: (part: ShelfCapacitor) => boolean): ReplacementWay[] =>
    same
      .filter(fits)
      .sort((a, b) => a.volts - b.volts || b.count - a.count)
      .map((part) => ({
        parts: counted([part]),
        says: `${part.name}, ${part.count} on the truck.`,
        permanence: "permanent",
      }));
  return { like: ways((part) => part.volts === volts), better: ways((part) => part.volts > volts) };
}

function counted(parts: readonly { id: string; name: string }[]): ReplacementWay["parts"] {
  const list = new Map<string, { id: string; name: string; count: number }>();
  for (const { id, name } of parts) list.set(id, { id, name, count: (list.get(id)?.count ?? 0) + 1 });
  return [...list.values()];
}

function voltsNote({ volts, said }: Rated): string[] {
  return said ? [] : [`The label gives no volts: ${volts} V serves where less was fitted as well.`];
}

const ROUND_OR_OVAL = [
  "Volts may be higher, never lower: 370 may become 440, 440 may not become 370.",
  "Round or oval does not matter; the can’s diameter decides the bracket, its height does not. Strap it down, terminals covered.",
] as const;
