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

/** The poles of a motor: as told, or from its loaded speed; null where neither tells. */
export function polesOf({ poles, rpm, hertz }: Plate): number | null {
  if (poles !== undefined) return poles;
  if (rpm === undefined) return null;
  const at50 = hertz !== undefined && !hertz.includes(60);
  const row = LOADED.find(({ hz60, hz50 }) => {
    const [low, high] = at50 ? hz50 : hz60;
    return rpm >= low && rpm <= high;
  });
  return row?.poles ?? null;
}

/** How fast a field turns, rpm. */
export function synchronousRpm(poles: number, hertz: number): number {
  return (120 * hertz) / poles;
}
