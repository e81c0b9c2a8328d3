import { describe, expect, it } from "vitest";
import { answer, table } from "../../../tests/material/sheets";
import { aboutOf, meterFor } from "../bench/faultyMotor";
import { ohmmeter } from "../bench/ohmmeter";
import { seededRandom } from "../bench/random";
import { randomMotor } from "../bench/randomMotor";
import { type Answer, answers } from "./answers";
import { weighEvidence } from "./evidence";
import { EVERYTHING, hypotheses } from "./hypotheses";
import { readingSheet } from "./sheet";

/** A random part of the table of a random motor. */
function partTable(family: string, leads: number, seed: number) {
  const random = seededRandom(seed);
  const motor = randomMotor(random, family, leads);
  const meter = meterFor(motor);
  const read = ohmmeter(motor.network, meter, random);
  const share = 0.3 + 0.7 * random();
  const readings = motor.leads.flatMap(({ id: a }, i) =>
    motor.leads
      .slice(i + 1)
      .filter(() => random() < share)
      .map(({ id: b }) => ({ between: [a, b], ...read(a, b) })),
  );
  const about = seed % 2 === 0 ? aboutOf(motor) : {};
  return readingSheet.parse({
    format: "odd-lead/reading-sheet@1",
    leads: motor.leads,
    meter,
    readings,
    about,
  });
}

describe("what is dropped before it is fitted to the end", () => {
  const KINDS: readonly (readonly [string, number])[] = [
    ["one-winding", 4],
    ["one-winding", 5],
    ["two-winding", 4],
    ["two-winding", 6],
    ["two-winding-start-pair", 6],
    ["dual-voltage-single-phase", 6],
  ];
  const keyOf = ({ family, roles }: Answer) => `${family.id} ${JSON.stringify(roles)}`;

  it.each(KINDS)("would have changed nothing: %s of %i leads", (family, leads) => {
    for (let seed = 1; seed <= 25; seed++) {
      const sheet = partTable(family, leads, seed * 37);
      const evidence = weighEvidence(sheet);
      if (evidence.pairs.length === 0) continue;
      const [best] = answers(hypotheses(evidence, sheet).all);
      const unpruned = answers(hypotheses(evidence, sheet, { ...EVERYTHING, hopelessNats: 1000 }).all);
      const same = unpruned.find((other) => best && keyOf(other) === keyOf(best));
      expect(Math.abs((best?.confidence ?? 0) - (same?.confidence ?? 0)), `seed ${seed}`).toBeLessThan(0.05);
    }
  });

  it("is not the other order of two taps that read alike to the last digit", () => {
    const about = { phase: 1 as const, capacitor: "none" as const, speeds: 4 };
    const id = answer({ ...table("a b 7.2\na c 6.7\na d 5.9\na e 6.0"), about, ask: "speeds" });
    expect(id.status).toBe("needs-probe");
    expect(id.confidence).toBeLessThan(0.9);
    expect(id.alternatives[0]?.roles.e).toEqual({ role: "speed", rank: 1 });
  });
});
