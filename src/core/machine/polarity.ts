import { type Numbering, numberings, renumbered } from "./numberings";
import type { Coil, WoundMotor } from "./woundMotor";

/**
 * A battery-kick test: a battery of a few volts touched to two leads of one winding, a meter with a needle on two of
 * another. At the touch the needle kicks up where the meter's plus is on the end that is alike to the battery's plus.
 */
export interface Kick {
  /** Battery plus and minus, by lead. */
  readonly battery: readonly [string, string];
  /** Meter plus and minus, by lead. */
  readonly meter: readonly [string, string];
  readonly shows: "up" | "down" | "still";
  /** Whether it kicked clearly harder than on the other windings, the battery where it was; left out, nobody compared. */
  readonly hardest?: boolean | undefined;
}

/** What the kicks so far say of a motor's ends. */
export type Polarity =
  /** Nothing is to prove: every end is known, or the ends only decide which way it turns. */
  | { readonly kind: "none" }
  /** More than one numbering is left. */
  | { readonly kind: "open"; readonly left: number; readonly next: KickAsked }
  /** One is left, but for naming and the turn; the motor numbered by it. */
  | { readonly kind: "proved"; readonly numbering: Numbering; readonly motor: WoundMotor }
  /** No motor of this kind kicks like that. */
  | { readonly kind: "contradiction" };

/** A test that tells most of what is left. */
export interface KickAsked extends Pick<Kick, "battery" | "meter"> {
  /** How hard it kicks beside the others decides here. */
  readonly strengthTells: boolean;
}

/** Coupling beside that of two coils on one axis, under which a needle is still. */
const STILL = 0.3;
/** Of the hardest kick there is, what is called the hardest. */
const HARDEST = 0.9;

/**
 * Numbers the ends of coils by battery kicks: every numbering the ohms allow is kept whose coils, by their axes in the
 * field, would kick as was seen. Numberings that kick alike in every test are one: between them only the turn is open.
 */
export function polarity(motor: WoundMotor, kicks: readonly Kick[]): Polarity {
  const all = classes(motor);
  if (all.length < 2 && kicks.length === 0) return { kind: "none" };
  const left = all.filter(({ motor: numbered }) => kicks.every((kick) => agrees(numbered, kick)));
  const [first] = left;
  if (!first) return { kind: "contradiction" };
  if (left.length > 1) return { kind: "open", left: left.length, next: nextKick(motor, left) };
  return { kind: "proved", numbering: first.numbering, motor: proved(first.motor) };
}

interface Candidate {
  readonly numbering: Numbering;
  readonly motor: WoundMotor;
}

/** One numbering of each class that kicks alike in every test. */
function classes(motor: WoundMotor): Candidate[] {
  const known = new Map<string, Candidate>();
  for (const numbering of numberings(motor)) {
    const numbered = renumbered(motor, numbering);
    const coils = coupled(numbered);
    const key = coils
      .flatMap((one, i) => coils.slice(i + 1).map((other) => Math.round(100 * coupling(one, other))))
      .join();
    if (!known.has(key)) known.set(key, { numbering, motor: numbered });
  }
  return [...known.values()];
}

/** Coils that a kick can tell: those on a field together. */
function coupled({ coils }: WoundMotor): Coil[] {
  return coils.filter(({ seat }) => seat.field !== "both");
}

function coupling(one: Coil, other: Coil): number {
  if (one.seat.field !== other.seat.field) return 0;
  return Math.cos(((one.seat.axisDegrees - other.seat.axisDegrees) * Math.PI) / 180);
}

/** The ends that are numbered now are proved; a start winding's, which no kick couples, go on deciding the turn alone. */
function proved(motor: WoundMotor): WoundMotor {
  const start = new Set(
    motor.coils.filter(({ winding }) => winding === "start").flatMap(({ from, to }) => [from, to]),
  );
  const slots = new Set(motor.leads.filter(({ junction }) => start.has(junction)).map(({ slot }) => slot));
  const openSets = motor.openSets.filter((sets) => sets.every((set) => set.every((slot) => slots.has(slot))));
  return { ...motor, openSets, unproved: openSets.flat(2) };
}

/** What a numbered motor's needle would do, positive up: the battery's path against the meter's, coil by coil. */
function kickOf(motor: WoundMotor, { battery, meter }: Pick<Kick, "battery" | "meter">): number {
  const [fed, seen] = [pathOf(motor, battery), pathOf(motor, meter)];
  return fed.reduce(
    (sum, one) =>
      sum + seen.reduce((part, other) => part + one.sign * other.sign * coupling(one.coil, other.coil), 0),
    0,
  );
}

function agrees(motor: WoundMotor, kick: Kick): boolean {
  const value = kickOf(motor, kick);
  if (kick.shows === "still") return Math.abs(value) < STILL;
  if (kick.shows === "up" ? value < STILL : value > -STILL) return false;
  if (kick.hardest === undefined) return true;
  const most = Math.max(
    ...meterPairs(motor, kick.battery).map((meter) => Math.abs(kickOf(motor, { ...kick, meter }))),
  );
  return Math.abs(value) >= HARDEST * most === kick.hardest;
}

interface Passed {
  readonly coil: Coil;
  readonly sign: 1 | -1;
}

/** Coils on the way between two leads of one winding, with the sense they are passed in; none where nothing joins them. */
function pathOf(motor: WoundMotor, [from, to]: readonly [string, string]): Passed[] {
  const junction = (lead: string) => motor.leads.find(({ id }) => id === lead)?.junction ?? lead;
  const goal = junction(to);
  const walk = (at: string, been: readonly string[]): Passed[] | null => {
    if (at === goal) return [];
    for (const coil of motor.coils) {
      const next = coil.from === at ? coil.to : coil.to === at ? coil.from : null;
      if (next === null || been.includes(next)) continue;
      const rest = walk(next, [...been, next]);
      if (rest) return [{ coil, sign: coil.from === at ? 1 : -1 }, ...rest];
    }
    return null;
  };
  return walk(junction(from), [junction(from)]) ?? [];
}

/** Pairs of leads of one winding, each once. */
function leadPairs(motor: WoundMotor): (readonly [string, string])[] {
  return motor.leads.flatMap((one, i) =>
    motor.leads
      .slice(i + 1)
      .filter((other) => other.junction !== one.junction && pathOf(motor, [one.id, other.id]).length > 0)
      .map((other) => [one.id, other.id] as const),
  );
}

/** Where the meter can go with the battery on two leads: the two ends of any coil that is not fed. */
function meterPairs(motor: WoundMotor, battery: readonly [string, string]): (readonly [string, string])[] {
  const fed = new Set(pathOf(motor, battery).map(({ coil }) => coil.id));
  return leadPairs(motor).filter((pair) => {
    const path = pathOf(motor, pair);
    return path.length === 1 && path.every(({ coil }) => !fed.has(coil.id));
  });
}

/** The test that leaves the fewest numberings in the worst case; a star's leads, where there are any, are fed first. */
function nextKick(motor: WoundMotor, left: readonly Candidate[]): KickAsked {
  const star = new Set(
    motor.coils.filter(({ winding }) => winding === "star").flatMap(({ from, to }) => [from, to]),
  );
  const isStar = (lead: string) => star.has(motor.leads.find(({ id }) => id === lead)?.junction ?? "");
  const pairs = leadPairs(motor);
  const starFirst = pairs.filter(([plus, minus]) => isStar(plus) && isStar(minus));
  let best: { asked: KickAsked; worst: number } | null = null;
  for (const battery of starFirst.length > 0
    ? starFirst
    : pairs.filter((pair) => pathOf(motor, pair).length === 1))
    for (const meter of meterPairs(motor, battery)) {
      const outcomes = new Map<string, number>();
      const strengths = new Set<string>();
      for (const { motor: numbered } of left) {
        const value = kickOf(numbered, { battery, meter });
        const sign = Math.abs(value) < STILL ? "still" : value > 0 ? "up" : "down";
        const strength = Math.round(10 * Math.abs(value));
        outcomes.set(`${sign}/${strength}`, (outcomes.get(`${sign}/${strength}`) ?? 0) + 1);
        if (sign !== "still") strengths.add(`${strength}`);
      }
      const worst = Math.max(...outcomes.values());
      if (!best || worst < best.worst)
        best = { asked: { battery, meter, strengthTells: strengths.size > 1 }, worst };
    }
  if (!best) throw new Error("numberings that differ and no kick that tells them apart");
  return best.asked;
}
