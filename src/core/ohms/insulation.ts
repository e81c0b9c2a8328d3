/** What a 500 V insulation test says of a small random-wound motor. */
export interface InsulationVerdict {
  readonly weight: "good" | "look-again" | "stop";
  /** Megohms as they would read at 40 °C. */
  readonly megohmsAt40C: number;
  readonly says: string;
}

/** Limits at 40 °C, megohms, for small random-wound motors: IEEE 43 and the trade's own floor. */
const PASSES_MEGOHMS = 5;
const DOUBTFUL_MEGOHMS = 1;
const REFERENCE_C = 40;
/** Insulation resistance halves for every so many °C that the winding is warmer (IEEE 43). */
const HALVING_C = 10;

/** Megohms at 40 °C of a reading taken at another winding temperature: halved for every 10 °C that is left to warm. */
export function megohmsAt40C(megohms: number, windingC: number): number {
  return megohms * 2 ** ((windingC - REFERENCE_C) / HALVING_C);
}

/**
 * Judges an insulation test at 500 V DC between winding and shell. A pump motor in the well reads lower, its cable
 * included: say so with `inWell`, and a low reading is told of both.
 *
 * @param megohms what the tester showed after a minute.
 * @param windingC temperature of the winding, °C; 40 when unknown, which corrects nothing.
 */
export function judgeInsulation(
  megohms: number,
  windingC: number = REFERENCE_C,
  inWell = false,
): InsulationVerdict {
  const corrected = megohmsAt40C(megohms, windingC);
  const shown = `${round(megohms)} MΩ at ${Math.round(windingC)} °C is ${round(corrected)} MΩ at 40 °C`;
  const cable = inWell
    ? " The cable in the well is in this reading: lift the splice to tell them apart."
    : "";
  if (corrected < DOUBTFUL_MEGOHMS) {
    const says = `${shown}, under 1 MΩ: do not run this motor.${cable}`;
    return { weight: "stop", megohmsAt40C: corrected, says };
  }
  if (corrected < PASSES_MEGOHMS) {
    const says = `${shown}, between 1 and 5 MΩ: doubtful. Dry it and repeat.${cable}`;
    return { weight: "look-again", megohmsAt40C: corrected, says };
  }
  return { weight: "good", megohmsAt40C: corrected, says: `${shown}, 5 MΩ or more: it passes.` };
}

function round(megohms: number): string {
  return megohms >= 100 ? megohms.toFixed(0) : megohms.toPrecision(2);
}
