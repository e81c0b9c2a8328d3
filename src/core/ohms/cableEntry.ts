import { fault, type Refused, refused } from "../quantity/fault";
import { type CableRun, OHMS_PER_1000_FT, type WireGauge } from "./cable";

const FEET_PER_METRE = 1 / 0.3048;
const MOST_METRES = 9000;

/**
 * Reads a cable as a hand types it: its conductor ("12", "12 AWG", "#12", "2.5 mm2") and one length ("200", "200 ft",
 * "60 m"; a bare number is feet beside a gauge, metres beside mm²).
 */
export function parseCable(size: string, length: string): { ok: true; run: CableRun } | Refused {
  const conductor = conductorOf(size);
  if (!conductor)
    return refused({
      code: "unknown-size",
      path: ["size"],
      says: `“${size.trim()}” is no conductor in the table: ${gauges().join(", ")} AWG, or a cross-section such as 2.5 mm².`,
    });
  const match = /^\s*(\d+(?:[.,]\d+)?)\s*(ft|feet|foot|'|m|metres?|meters?)?\s*$/i.exec(length);
  if (!match)
    return refused(
      fault("not-a-length", `“${length.trim()}” is no length. Write 200 ft or 60 m.`, ["length"]),
    );
  const value = Number((match[1] ?? "").replace(",", "."));
  const unit = match[2] ? (/^m/i.test(match[2]) ? "m" : "ft") : "gauge" in conductor ? "ft" : "m";
  const metres = unit === "m" ? value : value / FEET_PER_METRE;
  if (metres > MOST_METRES)
    return refused(fault("out-of-range", "That is longer than any cable to a motor.", ["length"]));
  return {
    ok: true,
    run:
      "gauge" in conductor
        ? { gauge: conductor.gauge, lengthFeet: unit === "ft" ? value : value * FEET_PER_METRE }
        : { areaMm2: conductor.areaMm2, lengthMetres: metres },
  };
}

function conductorOf(size: string): { gauge: WireGauge } | { areaMm2: number } | null {
  const area = /^\s*(\d+(?:[.,]\d+)?)\s*mm(?:2|²)?\s*$/i.exec(size);
  if (area) {
    const areaMm2 = Number((area[1] ?? "").replace(",", "."));
    return areaMm2 >= 0.1 && areaMm2 <= 500 ? { areaMm2 } : null;
  }
  const gauge = Number(/^\s*#?\s*(\d+)\s*(?:awg|ga|gauge)?\s*$/i.exec(size)?.[1]);
  const known = gauges().find((listed) => listed === gauge);
  return known === undefined ? null : { gauge: known };
}

/** The gauges of the table, thinnest first. */
function gauges(): WireGauge[] {
  return ([14, 12, 10, 8, 6, 4] as const).filter((gauge) => gauge in OHMS_PER_1000_FT);
}
