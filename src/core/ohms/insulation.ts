import type { Weight } from "../quantity/weight";
/** What a 500 V insulation test says of a small random-wound motor. */
export interface InsulationVerdict {
  readonly weight: Weight;
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

/** Limits of a pump motor in its well, cable included, as read, megohms: as new, fair in use, failing; under the last failed. */
const IN_WELL = { new: 20, fair: 0.5, failing: 0.02 } as const;

/** An insulation test in the megohms that tests are compared by: at 40 °C; in the well as read, since water holds its temperature. */
export function comparableMegohms(test: {
  readonly megohms: number;
  readonly windingC?: number | undefined;
  readonly inWell: boolean;
}): number {
  return test.inWell ? test.megohms : megohmsAt40C(test.megohms, test.windingC ?? REFERENCE_C);
}

/**
 * Judges an insulation test at 500 V DC between winding and shell. A pump motor in the well reads lower, its cable
 * included, and water holds it near one temperature: it is judged as read, by limits of its own.
 *
 * @param megohms what the tester showed after a minute.
 * @param windingC temperature of the winding, °C; 40 when unknown, which corrects nothing.
 */
export function judgeInsulation(
  megohms: number,
  windingC: number = REFERENCE_C,
  inWell = false,
): InsulationVerdict {
  if (inWell) return judgeInWell(megohms);
  const corrected = megohmsAt40C(megohms, windingC);
  const shown = `${round(megohms)} MΩ at ${Math.round(windingC)} °C is ${round(corrected)} MΩ at 40 °C`;
  if (corrected < DOUBTFUL_MEGOHMS) {
    const says = `${shown}, under 1 MΩ: do not run this motor.`;
    return { weight: "stop", megohmsAt40C: corrected, says };
  }
  if (corrected < PASSES_MEGOHMS) {
    const says = `${shown}, between 1 and 5 MΩ: doubtful. Dry it and repeat.`;
    return { weight: "again", megohmsAt40C: corrected, says };
  }
  return { weight: "good", megohmsAt40C: corrected, says: `${shown}, 5 MΩ or more: it passes.` };
}

function judgeInWell(megohms: number): InsulationVerdict {
  const shown = `${round(megohms)} MΩ in the well, cable included, as read`;
  const verdict = (weight: InsulationVerdict["weight"], says: string) => ({
    weight,
    megohmsAt40C: megohms,
    says: `${shown}: ${says}`,
  });
  if (megohms >= IN_WELL.new) return verdict("good", "as a new motor has it, 20 MΩ or more.");
  if (megohms >= IN_WELL.fair)
    return verdict("good", "fair for a motor in use, 0.5 to 20 MΩ. Keep it for the trend.");
  if (megohms >= IN_WELL.failing)
    return verdict(
      "again",
      "failing, 0.02 to 0.5 MΩ. Lift the splice to tell cable from motor, and plan to pull it.",
    );
  return verdict("stop", "failed, under 0.02 MΩ. Do not run it; lift the splice to tell cable from motor.");
}

function round(megohms: number): string {
  return megohms >= 100 ? megohms.toFixed(0) : megohms.toPrecision(2);
}
