import { fault, type Refused, refused } from "./fault";

/** The volts of one connection: a range such as 208–230, or one figure twice. */
export interface VoltRange {
  readonly low: number;
  readonly high: number;
}

const LEAST_VOLTS = 5;
const MOST_VOLTS = 1000;
/** Figures of one connection lie within this ratio; farther apart a dash parts two connections. */
const ONE_CONNECTION = 1.3;

/**
 * Reads plate volts as a hand types them: "115", "208-230 V", "115/230", "208-230/460". A dash makes a range of one
 * connection, a stroke parts two; "230/208" is a range too, because no motor is wound for both.
 *
 * @returns connections, low volts first, or what is wrong in plain words.
 */
export function parseVolts(text: string): { ok: true; connections: VoltRange[] } | Refused {
  const bare = text.replace(/\s*(?:volts?|vac|v)\b\.?/gi, "").trim();
  if (!/^\d{1,4}(?:\s*[-–/]\s*\d{1,4}){0,3}$/.test(bare))
    return refused(
      fault("not-volts", `“${text.trim()}” are no volts. Write 115, 208-230, 115/230 or 208-230/460.`),
    );
  const parts = bare.split("/").map((part) =>
    part
      .split(/[-–]/)
      .map(Number)
      .sort((a, b) => a - b),
  );
  const all = parts.flat();
  if (all.some((volts) => volts < LEAST_VOLTS || volts > MOST_VOLTS))
    return refused(fault("out-of-range", "Volts of these motors lie between 5 and 1000."));
  const connections: VoltRange[] = [];
  for (const figures of [...parts].sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0))) {
    const next = { low: figures[0] ?? 0, high: figures.at(-1) ?? 0 };
    if (next.high / next.low > ONE_CONNECTION) {
      connections.push({ low: next.low, high: next.low }, { low: next.high, high: next.high });
      continue;
    }
    const before = connections.at(-1);
    if (before && next.high / before.low <= ONE_CONNECTION)
      connections[connections.length - 1] = { low: before.low, high: Math.max(before.high, next.high) };
    else connections.push(next);
  }
  return { ok: true, connections };
}

/** "208–230 V", "115 V or 230 V". */
export function formatVolts(connections: readonly VoltRange[]): string {
  return connections.map(({ low, high }) => `${low === high ? low : `${low}–${high}`} V`).join(" or ");
}

/** A motor may be fed 10 % off its plate volts (NEMA MG 1). */
const PLATE_TOLERANCE = 0.1;

/** The supplies that a connection suits, within ten per cent of its plate volts. */
export function suppliesOf({ low, high }: VoltRange): VoltRange {
  return { low: low * (1 - PLATE_TOLERANCE) - 1e-9, high: high * (1 + PLATE_TOLERANCE) + 1e-9 };
}

/** The connection that a supply suits within ten per cent of its plate volts, or null. */
export function connectionFor(connections: readonly VoltRange[], supplyVolts: number): VoltRange | null {
  return (
    connections.find((connection) => {
      const { low, high } = suppliesOf(connection);
      return supplyVolts >= low && supplyVolts <= high;
    }) ?? null
  );
}
