import { FAMILY_IDS } from "../src/core";
import { randomMotor, seededRandom } from "../src/core/bench";
import { groups, lead, leadCounts, type MotorCourse, partnerSearch } from "./course";

/** Motors of each family; ODD_LEAD_BENCH_MOTORS makes it fewer for a quick look. */
const MOTORS = Number(process.env.ODD_LEAD_BENCH_MOTORS ?? 2000);
/** Two-winding motors are measured up to so many leads: beyond it they are hardly built. */
const MOST_LEADS = 8;
const BINS = 10;

interface Bin {
  count: number;
  confidence: number;
  right: number;
}

/** The whole measurement, as Markdown. */
export function identification(say: (line: string) => void): string {
  const bins = Array.from({ length: BINS }, (): Bin => ({ count: 0, confidence: 0, right: 0 }));
  const pooled: Pooled = { oneGroup: { motors: 0, readings: 0, leads: 0 }, apart: { readings: 0, ideal: 0 } };
  const rows = FAMILY_IDS.filter((id) => id !== "electronic").map((id) => {
    const row = familyRow(id, bins, pooled);
    say(row);
    return row;
  });
  return [
    `## Led from an empty sheet, nothing told: ${MOTORS} motors of each family`,
    "",
    "Meter of 1 % and 2 counts of 0.1 Ω, of 0.01 Ω where the main reads under 3 Ω. Every reading that is asked for is taken, until none is.",
    "",
    "| family | leads | settled | right among settled | settled and wrong | tied | other | pair readings | per lead | against partner search | ms a call, median |",
    "| --- | --- | --- | --- | --- | --- | --- | --- | --- | --- | --- |",
    ...rows,
    "",
    ...pooledLines(pooled),
    "",
    "## Calibration",
    "",
    "The confidence of the last answer of each course against how often it was right, in ten bins.",
    "",
    "| confidence | answers | mean confidence | right |",
    "| --- | --- | --- | --- |",
    ...bins.map(binRow),
    "",
    `Mean distance of the two, weighted by count: ${calibrationError(bins).toFixed(4)}.`,
    "",
  ].join("\n");
}

/** Sums over motors of one connected group, and over those of several. */
interface Pooled {
  readonly oneGroup: { motors: number; readings: number; leads: number };
  readonly apart: { readings: number; ideal: number };
}

function pooledLines({ oneGroup, apart }: Pooled): string[] {
  const { motors, readings, leads } = oneGroup;
  return [
    `All motors of one connected group: ${(readings / motors).toFixed(2)} pair readings in the mean, ${(leads / motors).toFixed(2)} leads.`,
    "",
    `All motors of several groups: ${(apart.readings / apart.ideal).toFixed(2)} times the partner search. Of two pairs that search may read two; a third tells that they are two.`,
  ];
}

function familyRow(id: string, bins: Bin[], pooled: Pooled): string {
  const counts = leadCounts(id, MOST_LEADS).concat(
    leadCounts(id, 12).filter((n) => n > 8 && id !== "two-winding"),
  );
  const courses: MotorCourse[] = [];
  let leads = 0;
  let ideal = 0;
  let apart = 0;
  for (let i = 0; i < MOTORS; i++) {
    const random = seededRandom(1 + i * 7919);
    const motor = randomMotor(random, id, counts[i % counts.length] as number);
    const course = lead(motor, random);
    courses.push(course);
    leads += motor.leads.length;
    if (groups(motor).length > 1) {
      ideal += partnerSearch(motor);
      apart += course.pairReadings;
    } else {
      pooled.oneGroup.motors += 1;
      pooled.oneGroup.readings += course.pairReadings;
      pooled.oneGroup.leads += motor.leads.length;
    }
    const { confidence } = course.answer;
    const bin = bins[Math.min(BINS - 1, Math.floor(confidence * BINS))] as Bin;
    bin.count += 1;
    bin.confidence += confidence;
    if (course.right) bin.right += 1;
  }
  pooled.apart.readings += apart;
  pooled.apart.ideal += ideal;
  const share = (part: number, whole: number) => (whole > 0 ? `${((100 * part) / whole).toFixed(2)} %` : "–");
  const settled = courses.filter(({ answer }) => answer.status === "settled");
  const right = settled.filter((course) => course.right).length;
  const tied = courses.filter(({ answer }) => answer.status === "tied").length;
  const readings = courses.reduce((sum, course) => sum + course.pairReadings, 0);
  const ms = courses.flatMap((course) => course.callMs);
  const cells = [
    id,
    counts.join(" "),
    share(settled.length, MOTORS),
    share(right, settled.length),
    share(settled.length - right, MOTORS),
    share(tied, MOTORS),
    share(MOTORS - settled.length - tied, MOTORS),
    (readings / MOTORS).toFixed(2),
    (readings / leads).toFixed(2),
    ideal > 0 ? (apart / ideal).toFixed(2) : "–",
    quantile(ms, 0.5).toFixed(1),
  ];
  return `| ${cells.join(" | ")} |`;
}

function binRow({ count, confidence, right }: Bin, b: number): string {
  const range = `${b / BINS}–${(b + 1) / BINS}`;
  if (count === 0) return `| ${range} | 0 | – | – |`;
  return `| ${range} | ${count} | ${(confidence / count).toFixed(3)} | ${(right / count).toFixed(3)} |`;
}

function calibrationError(bins: readonly Bin[]): number {
  const total = bins.reduce((sum, bin) => sum + bin.count, 0);
  return bins.reduce((sum, bin) => sum + Math.abs(bin.confidence - bin.right), 0) / total;
}

function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(share * (sorted.length - 1))] ?? 0;
}
