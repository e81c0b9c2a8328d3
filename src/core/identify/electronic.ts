import type { ReadingSheet } from "./sheet";

/** Why a motor is taken for one with electronics between leads and winding. */
export interface ElectronicSign {
  readonly says: string;
  /** Probability that it is. */
  readonly confidence: number;
}

/** Words of the machine or its plate that mean electronics. */
const TOLD = /\b(ecm|electronic|electronically|brushless|bldc|inverter|constant[- ](airflow|torque))\b/i;
/** No winding of a fan, blower or pump motor reads so much; electronics do, and drift. */
const BEYOND_WINDING_OHMS = 4000;
/** So many such readings at least, and so large a share of all that read ohms. */
const LEAST_READINGS = 2;
const LEAST_SHARE = 0.5;
/** Probes changed over that read so much differently are on a junction of a semiconductor. */
const ONE_WAY_FACTOR = 1.5;
const ONE_WAY_OHMS = 300;

/** Signs of electronics: told, readings that no winding gives, or a pair that reads one way and not the other. */
export function electronicSign(sheet: ReadingSheet): ElectronicSign | null {
  if (sheet.about.kind !== undefined && TOLD.test(sheet.about.kind))
    return { says: `The machine or plate says so: “${sheet.about.kind.trim()}”.`, confidence: 0.995 };
  const read = sheet.readings.flatMap((r) => (r.ohms === undefined ? [] : [r.ohms]));
  const high = read.filter((ohms) => ohms > BEYOND_WINDING_OHMS).length;
  if (high >= LEAST_READINGS && high >= LEAST_SHARE * read.length)
    return {
      says: `${high} pairs read thousands of ohms and not open: no winding reads so.`,
      confidence: 0.97,
    };
  if (oneWay(sheet)) {
    const says = "A pair reads otherwise with the probes changed over: a winding reads alike both ways.";
    return { says, confidence: 0.95 };
  }
  return null;
}

function oneWay({ readings }: ReadingSheet): boolean {
  return readings.some((r, i) =>
    readings.slice(i + 1).some((other) => {
      if (r.between[0] !== other.between[1] || r.between[1] !== other.between[0]) return false;
      const [low, high] = [r.ohms, other.ohms]
        .map((ohms) => ohms ?? Number.POSITIVE_INFINITY)
        .sort((a, b) => a - b);
      return (
        low !== undefined &&
        high !== undefined &&
        low > ONE_WAY_OHMS &&
        low < 1e6 &&
        high > ONE_WAY_FACTOR * low
      );
    }),
  );
}
