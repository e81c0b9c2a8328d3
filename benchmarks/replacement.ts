import { type Plate, readPlate } from "../src/core";
import { seededRandom } from "../src/core/bench";
import { combinations, type ShelfCapacitor } from "../src/core/capacitor";
import { type Candidate, match, setCover } from "../src/core/replacement";
import { parseCsv, stockFromTable, suggestedMapping } from "../src/core/stock";

const MOTORS = 10_000;
/** Motors to rank: what a large supplier lists. */
const RANKED = 100_000;
const SHOWN = { offers: 40, ruledOut: 60 };
const INSTANCES = 20;

/** The replacement's heavy parts: the ranking, a CSV, combinations from the shelf, the truck plan's search; as Markdown. */
export function replacement(say: (line: string) => void): string {
  const rows = [ranking(), csv(), shelf(), ...[20, 60, 150].map(cover)];
  for (const row of rows) say(row);
  return [
    "## The replacement",
    "",
    "| what | milliseconds, median | |",
    "| --- | --- | --- |",
    ...rows,
    "",
  ].join("\n");
}

const POWERS = ["1/6", "1/4", "1/3", "1/2", "1/2, 1/3", "3/4"];
const SPEEDS = ["825", "1075/3SPD", "1625/2SPD"];
const line = (i: number) => ({
  power: POWERS[i % POWERS.length] ?? "",
  speed: SPEEDS[i % SPEEDS.length] ?? "",
  volts: i % 2 ? "208-230" : "115",
  phase: "1",
  hertz: "60",
  amps: "2.6",
  rotation: i % 3 ? "REV" : "CW LE",
});

function ranking(): string {
  const candidates = Array.from(
    { length: RANKED },
    (_, i): Candidate => ({
      id: String(i),
      name: `motor ${i}`,
      // As the database hands it to whoever ranks.
      plate: JSON.parse(JSON.stringify(readPlate(line(i)).plate)) as Plate,
      count: i % 4,
    }),
  );
  const old = readPlate({ ...line(2), shaftDiameter: "1/2" }).plate;
  const ms = median(3, () => match({ old }, candidates, SHOWN));
  return `| ranking ${RANKED} motors for one need | ${ms.toFixed(0)} | |`;
}

function csv(): string {
  const headings = ["name", ...Object.keys(line(0))];
  const text = [
    headings.join(","),
    ...Array.from({ length: MOTORS }, (_, i) =>
      [`motor ${i}`, ...Object.values(line(i)).map((cell) => `"${cell}"`)].join(","),
    ),
  ].join("\r\n");
  let n = 0;
  const newId = () => `019a0000-0000-7000-8000-${String(n++).padStart(12, "0")}`;
  const ms = median(3, () => {
    const table = parseCsv(text);
    if (!table.ok) throw new Error("the table of the benchmark is refused");
    stockFromTable(table, suggestedMapping(table), newId);
  });
  return `| reading and checking a CSV of ${MOTORS} motors | ${ms.toFixed(0)} | |`;
}

function shelf(): string {
  const parts = [2, 3, 4, 5, 6, 7.5, 10, 12.5, 15, 20, 25, 30, 35, 40, 45].map(
    (microfarads): ShelfCapacitor => ({
      id: String(microfarads),
      name: `${microfarads} µF`,
      kind: "single",
      microfarads,
      volts: 440,
      count: 3,
    }),
  );
  const ms = median(9, () => combinations(parts, { microfarads: 17.5, volts: 370, tolerancePercent: 6 }));
  return `| combinations of up to three from ${parts.length} values | ${ms.toFixed(1)} | |`;
}

/** Random covers of 300 needs: how often the search finished, and how far the bound was off where it did not. */
function cover(sets: number): string {
  let exact = 0;
  let worst = 0;
  let seed = 1;
  const ms = median(INSTANCES, () => {
    const random = seededRandom(seed++ * 97 + sets);
    const list = Array.from({ length: sets }, () => ({
      cost: 20 + Math.floor(random() * 100),
      elements: Array.from({ length: 300 }, (_, e) => e).filter(() => random() < 0.08 + 0.1 * random()),
    }));
    const search = setCover(list, 300, 240);
    let step = search.next();
    while (!step.done) step = search.next();
    if (step.value?.exact) exact += 1;
    else if (step.value) worst = Math.max(worst, 1 - step.value.lowerBound / step.value.cost);
  });
  const bound = exact === INSTANCES ? "" : `, else within ${(100 * worst).toFixed(1)} % at worst`;
  return `| truck plan, ${sets} parts, 80 % of 300 needs | ${ms.toFixed(0)} | ${exact} of ${INSTANCES} proved the least${bound} |`;
}

function median(times: number, run: () => void): number {
  const ms = Array.from({ length: times }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return ms[Math.floor(ms.length / 2)] ?? 0;
}
