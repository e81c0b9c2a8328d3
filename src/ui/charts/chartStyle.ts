/** The theme's colors that lines are drawn in: what counts, what it is held against, what is off. */
type LineColor =
  | "primary-main"
  | "success-main"
  | "warning-main"
  | "error-main"
  | "text-primary"
  | "text-secondary";

function inTheme(color: LineColor): string {
  return `var(--mui-palette-${color})`;
}

/** Figures along an axis. */
export const TICK = { fill: inTheme("text-secondary"), fontSize: 12 } as const;

/** An axis of days: points stand where they are in time. */
export const DAYS = {
  dataKey: "at",
  type: "number",
  scale: "time",
  domain: ["dataMin", "dataMax"],
  tick: TICK,
  minTickGap: 42,
} as const;

/** A line of a chart: drawn at once, whole or dashed, its points marked where there are few. */
export function lineStyle(color: LineColor, { dashes = "", dots = true } = {}) {
  return {
    stroke: inTheme(color),
    strokeWidth: 2,
    ...(dashes ? { strokeDasharray: dashes } : {}),
    dot: dots ? { r: 3 } : false,
    isAnimationActive: false,
  };
}

/** A line across that a figure is held against. */
export function limitStyle(color: LineColor = "text-primary") {
  return { stroke: inTheme(color), strokeDasharray: "5 4" };
}

/** Points alone. */
export function pointStyle(color: LineColor) {
  return { fill: inTheme(color), isAnimationActive: false };
}

/** The name of an axis, or of a line across. */
export function nameStyle(color: LineColor = "text-secondary") {
  return { fill: inTheme(color), fontSize: 12 };
}

/** The day of a time in milliseconds. */
export function dayOf(at: number): string {
  return new Date(at).toISOString().slice(0, 10);
}
