import {
  FINGERPRINT_READINGS,
  type Fingerprint,
  metBefore,
  pairAt,
  stepsNear,
  stepsOf,
  USUAL_METER,
} from "../src/core";
import {
  gaussian,
  ohmmeter,
  pick,
  type Random,
  randomMotor,
  seededRandom,
  shuffled,
  type VirtualMotor,
} from "../src/core/bench";

const STORED = 10_000;
const ASKED = 400;
/** Of the motors asked about, so many were met before. */
const MET = 0.5;
/** Of those, so many have the colours that they had. */
const SAME_COLOURS = 0.7;
const COLOURS = ["BK", "WH", "RD", "BN", "YE", "BU", "OG", "VT", "GY", "GN", "PK", "TQ"];
const KINDS: readonly (readonly [family: string, leads: number])[] = [
  ["two-winding", 3],
  ["two-winding", 4],
  ["two-winding", 5],
  ["two-winding", 6],
  ["one-winding", 4],
  ["two-winding-reversible", 3],
  ["split-windings", 4],
];
const EXACT = { percent: 0, counts: 0, resolutionOhms: 1e-4, probeOhms: 0 };

interface Stored {
  readonly motor: VirtualMotor;
  readonly print: Fingerprint;
  readonly steps: ReadonlySet<number>;
}

/** Motors known again among ten thousand: right among shown, shown though never met, and how long it takes. */
export function knownAgain(say: (line: string) => void): string {
  const random = seededRandom(41);
  const stored = Array.from({ length: STORED }, () => storedMotor(random));
  const rows = [FINGERPRINT_READINGS, 4, 5].map((readings) => row(stored, readings, seededRandom(43)));
  for (const one of rows) say(one);
  return [
    "## Met before",
    "",
    `${ASKED} motors asked about among ${STORED} of the record, half of them met before, seven of ten of those with the colours of then, each visit at a temperature of its own that nobody told. Shown is what is likelier than not. Milliseconds of the weighing, of the motors that the index of the record leaves over.`,
    "",
    "| readings | shown of those met | right among shown | shown though never met | milliseconds, median | p99 |",
    "| --- | --- | --- | --- | --- | --- |",
    ...rows,
    "",
  ].join("\n");
}

function row(stored: readonly Stored[], count: number, random: Random): string {
  let [met, shown, right, falsely] = [0, 0, 0, 0];
  const times: number[] = [];
  for (let i = 0; i < ASKED; i++) {
    const truth = random() < MET ? pick(random, stored) : null;
    const motor = truth?.motor ?? drawn(random);
    const names =
      truth && random() < SAME_COLOURS
        ? truth.print.leads.map(({ name }) => name)
        : shuffled(random, COLOURS);
    const read = readSome(motor, names, count, random);
    // As the database does by its index.
    const left = stored.filter(({ steps }) =>
      read.readings.every(
        ({ ohms }) => ohms === null || ohms < 0.5 || stepsNear(ohms).some((s) => steps.has(s)),
      ),
    );
    const started = performance.now();
    const found = metBefore(
      read,
      left.map(({ motor: of, print }) => ({ of, print })),
      stored.length,
    );
    times.push(performance.now() - started);
    const [first] = found;
    if (truth) met += 1;
    if (!first) continue;
    if (!truth) falsely += 1;
    else {
      shown += 1;
      if (found.some(({ of }) => of === truth.motor)) right += 1;
    }
  }
  times.sort((a, b) => a - b);
  const at = (share: number) => (times[Math.floor(share * times.length)] ?? 0).toFixed(1);
  const part = (one: number, of: number) => `${((100 * one) / Math.max(1, of)).toFixed(1)} % (${one}/${of})`;
  return `| ${count} | ${part(shown, met)} | ${part(right, shown)} | ${part(falsely, ASKED - met)} | ${at(0.5)} | ${at(0.99)} |`;
}

function drawn(random: Random): VirtualMotor {
  const [family, leads] = pick(random, KINDS);
  return randomMotor(random, family, leads);
}

function storedMotor(random: Random): Stored {
  const motor = drawn(random);
  const meter = ohmmeter(motor.network, EXACT, random);
  const names = shuffled(random, COLOURS);
  const count = motor.leads.length;
  const ohms: (number | null)[] = [];
  const warm = 1 + 0.04 * gaussian(random);
  for (const [i, a] of motor.leads.entries())
    for (const [j, b] of motor.leads.entries()) {
      if (i >= j) continue;
      const shown = meter(a.id, b.id);
      const miss = 1 + 0.006 * gaussian(random);
      ohms[pairAt(i, j, count)] = "open" in shown ? null : shown.ohms * warm * miss;
    }
  const print = {
    leads: motor.leads.map((_, i) => ({ name: names[i] ?? "", was: "" })),
    ohms,
    windingC: null,
  };
  return { motor, print, steps: new Set(stepsOf(print)) };
}

/** So many readings of random pairs of a motor at a temperature of its own. */
function readSome({ network, leads }: VirtualMotor, names: readonly string[], count: number, random: Random) {
  const meter = ohmmeter(network, EXACT, random);
  const warm = 1 + 0.04 * gaussian(random);
  const pairs = shuffled(
    random,
    leads.flatMap(({ id: a }, i) => leads.slice(i + 1).map(({ id: b }) => [a, b] as const)),
  ).slice(0, count);
  return {
    leads: leads.map(({ id }, i) => ({ id, name: names[i] ?? "" })),
    windingC: null,
    readings: pairs.map((between) => {
      const shown = meter(...between);
      if ("open" in shown) return { between, ohms: null, sigmaOhms: 0 };
      const ohms = shown.ohms * warm;
      const sigmaOhms =
        (ohms * USUAL_METER.percent) / 200 + (USUAL_METER.counts * USUAL_METER.resolutionOhms) / 2;
      return { between, ohms: Math.max(0, ohms + sigmaOhms * gaussian(random)), sigmaOhms };
    }),
  };
}
