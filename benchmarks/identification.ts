import { identify, type ReadingSheetInput } from "../src/core";
import { ohmmeter, randomMotor, seededRandom } from "../src/core/bench";

const METER = { percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0 };
const ROUNDS = 60;
const KINDS: readonly [family: string, leads: number][] = [
  ["one-winding", 2],
  ["two-winding", 3],
  ["two-winding-reversible", 3],
  ["two-winding", 4],
  ["two-winding", 5],
  ["two-winding", 6],
  ["two-winding", 7],
];

type Reading = NonNullable<ReadingSheetInput["readings"]>[number];

/** Time of one call on the full table, and the course of a motor led from an empty sheet. */
export function identification(): void {
  console.log("\nidentify: full table, then led from an empty sheet");
  for (const [family, leads] of KINDS) {
    const full: number[] = [];
    const led: number[] = [];
    let readings = 0;
    for (let seed = 1; seed <= ROUNDS; seed++) {
      const random = seededRandom(seed * 31 + leads);
      const motor = randomMotor(random, family, leads);
      const meter = ohmmeter(motor.network, METER, random);
      const pairs = motor.leads.flatMap((a, i) => motor.leads.slice(i + 1).map((b) => [a.id, b.id] as const));
      const table = pairs.map(([a, b]): Reading => ({ between: [a, b], ...meter(a, b) }));
      full.push(timed({ format: "odd-lead/reading-sheet@1", leads: [...motor.leads], readings: table }).ms);
      readings += follow([...motor.leads], meter, led);
    }
    const mean = (readings / ROUNDS).toFixed(1);
    console.log(
      `  ${family}, ${leads} leads: full ${spread(full)}; led ${spread(led)}, ${mean} pair readings`,
    );
  }
}

function timed(sheet: ReadingSheetInput) {
  const start = performance.now();
  const answer = identify(sheet);
  return { answer, ms: performance.now() - start };
}

function follow(leads: { id: string }[], meter: ReturnType<typeof ohmmeter>, ms: number[]): number {
  const readings: Reading[] = [];
  const frame: { lead: string; open: true }[] = [];
  for (;;) {
    const { answer, ms: took } = timed({ format: "odd-lead/reading-sheet@1", leads, readings, frame });
    ms.push(took);
    const probe = answer.ok && answer.status === "needs-probe" ? answer.nextProbe : null;
    if (!probe) return readings.length;
    if (probe.kind === "frame") frame.push({ lead: probe.lead, open: true });
    else readings.push({ between: probe.between, ...meter(...probe.between) });
  }
}

/** Median and ninth decile, milliseconds. */
function spread(ms: readonly number[]): string {
  const sorted = [...ms].sort((a, b) => a - b);
  const at = (share: number) => (sorted[Math.floor(share * (sorted.length - 1))] ?? 0).toFixed(1);
  return `${at(0.5)} ms median, ${at(0.9)} ms p90`;
}
