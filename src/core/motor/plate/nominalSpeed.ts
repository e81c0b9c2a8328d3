import type { Plate } from "./plate";

/** Loaded speeds by poles at 60 and 50 Hz, rpm; the ranges of the trade with the slack of plates. */
const LOADED: readonly {
  readonly poles: number;
  readonly hz60: readonly [number, number];
  readonly hz50: readonly [number, number];
}[] = [
  { poles: 2, hz60: [3300, 3560], hz50: [2700, 2960] },
  { poles: 4, hz60: [1500, 1780], hz50: [1300, 1480] },
  { poles: 6, hz60: [1000, 1180], hz50: [850, 985] },
  { poles: 8, hz60: [750, 885], hz50: [640, 738] },
  { poles: 10, hz60: [620, 708], hz50: [520, 590] },
  { poles: 12, hz60: [500, 590], hz50: [420, 492] },
];
const MOST_POLES = 16;
/** A stamped speed this near the field's own is that speed, rounded. */
const SYNCHRONOUS_NEAR = 0.005;

/** What a stamped speed is to the motors of the trade. */
export type StampedSpeed =
  /** In the usual range of its poles. */
  | { readonly kind: "usual"; readonly poles: number }
  /** In none, yet a motor of these poles may turn so under load. */
  | { readonly kind: "odd"; readonly poles: number }
  /** The speed of the field itself, which no loaded motor reaches. */
  | { readonly kind: "synchronous"; readonly poles: number }
  /** Faster than any field of this supply turns. */
  | { readonly kind: "impossible" };

/** Takes a stamped speed for what it is; one in no usual range belongs to the slowest field that is still faster. */
export function stampedSpeed(rpm: number, hertz: 50 | 60): StampedSpeed {
  const usual = LOADED.find(({ hz60, hz50 }) => {
    const [low, high] = hertz === 50 ? hz50 : hz60;
    return rpm >= low && rpm <= high;
  });
  if (usual) return { kind: "usual", poles: usual.poles };
  for (let poles = MOST_POLES; poles >= 2; poles -= 2) {
    const field = synchronousRpm(poles, hertz);
    if (Math.abs(rpm / field - 1) <= SYNCHRONOUS_NEAR) return { kind: "synchronous", poles };
    if (field > rpm) return { kind: "odd", poles };
  }
  return { kind: "impossible" };
}

/** The poles of a motor: as told, or from its loaded speed; null where neither tells. */
export function polesOf({ poles, rpm, hertz }: Plate): number | null {
  if (poles !== undefined) return poles;
  if (rpm === undefined) return null;
  const mains = hertz !== undefined && !hertz.includes(60) ? 50 : 60;
  const stamped = stampedSpeed(rpm, mains);
  if (stamped.kind === "impossible") return null;
  // So far under its field a stamped speed tells no poles to choose another motor by.
  return rpm < (1 - MOST_SLIP) * synchronousRpm(stamped.poles, mains) ? null : stamped.poles;
}

const MOST_SLIP = 0.25;

/** How fast a field turns, rpm. */
export function synchronousRpm(poles: number, hertz: number): number {
  return (120 * hertz) / poles;
}
