import { FAMILY_IDS, identify } from "../src/core";
import {
  meterFor,
  ohmmeter,
  openLead,
  openSection,
  type Random,
  randomMotor,
  seededRandom,
  shuffled,
} from "../src/core/bench";
import { leadCounts } from "./course";

/** Motors for each row; each gives a full table and three random parts of it. */
const MOTORS = Number(process.env.ODD_LEAD_BENCH_MOTORS ?? 2000) / 10;
const PARTS = 3;
/** Each sheet is identified so often; the least counts, for the machine has other things to do. */
const CALLS = 3;
const ROWS = [3, 4, 6, 9, 12];
/** Sheets from which the search for a worse one sets out, and changes tried on each. */
const SEARCHED = 8;
const CHANGES = 60;

interface Reading {
  readonly between: readonly [string, string];
  readonly ohms?: number;
  readonly open?: true;
}

interface Sheet {
  readonly format: "odd-lead/reading-sheet@1";
  readonly leads: readonly { readonly id: string }[];
  readonly meter: ReturnType<typeof meterFor>;
  readonly readings: readonly Reading[];
}

interface Timed {
  readonly sheet: Sheet;
  /** Milliseconds of processor time, everything that runs beside the call counted with it. */
  readonly ms: number;
}

/** How long a call takes, by leads: full tables and parts of them, of sound and broken motors; and the worst that a search finds. */
export function identifyTimes(say: (line: string) => void): string {
  const worst: Timed[] = [];
  const rows = ROWS.map((leads) => {
    const { full, part } = sheetsOf(leads);
    const [tables, parts] = [full.map(time), part.map(time)];
    worst.push(...parts.sort((a, b) => b.ms - a.ms).slice(0, SEARCHED / 2));
    const cells = [tables, parts].flatMap((list) =>
      [0.5, 0.9, 0.99, 1].map((share) => quantile(list, share).toFixed(1)),
    );
    const row = `| ${leads} | ${cells.join(" | ")} |`;
    say(row);
    return row;
  });
  const found = searched(worst.sort((a, b) => b.ms - a.ms).slice(0, SEARCHED));
  say(`worst found: ${found.ms.toFixed(0)} ms`);
  return [
    "## Time of one call",
    "",
    `Processor time in milliseconds, the least of ${CALLS} calls for each sheet, in a process that has identified such sheets before. Half of the motors are sound, a quarter have an open section, a quarter an open lead. Full tables, and random parts of them.`,
    "",
    "| leads | full, median | p90 | p99 | worst | part, median | p90 | p99 | worst |",
    "| --- | --- | --- | --- | --- | --- | --- | --- | --- |",
    ...rows,
    "",
    `The worst that a search finds, which sets out from the ${SEARCHED} slowest of these and takes away, adds and exchanges readings, ${CHANGES} changes on each: ${found.ms.toFixed(0)} ms (${found.sheet.leads.length} leads, ${found.sheet.readings.length} readings).`,
    "",
  ].join("\n");
}

function sheetsOf(leads: number): { readonly full: readonly Sheet[]; readonly part: readonly Sheet[] } {
  const families = FAMILY_IDS.filter((id) => id !== "electronic" && leadCounts(id, 12).includes(leads));
  const full: Sheet[] = [];
  const part: Sheet[] = [];
  for (let i = 0; i < MOTORS; i++) {
    const random = seededRandom(31 + i * 104_729 + leads);
    const sheet = fullTable(families[i % families.length] ?? "one-winding", leads, random);
    full.push(sheet);
    for (let k = 0; k < PARTS; k++) {
      const some = shuffled(random, sheet.readings).slice(
        0,
        1 + Math.floor(random() * sheet.readings.length),
      );
      part.push({ ...sheet, readings: some });
    }
  }
  return { full, part };
}

function fullTable(family: string, leads: number, random: Random): Sheet {
  const motor = randomMotor(random, family, leads);
  const fate = random();
  const read = (fate < 0.5 ? motor : fate < 0.75 ? openSection(motor, random) : openLead(motor, random).motor)
    .network;
  const meter = meterFor(motor);
  const shown = ohmmeter(read, meter, random);
  const ids = motor.leads.map(({ id }) => id);
  const readings = ids.flatMap((a, k) =>
    ids.slice(k + 1).map((b): Reading => ({ between: [a, b], ...shown(a, b) })),
  );
  return { format: "odd-lead/reading-sheet@1", leads: motor.leads, meter, readings };
}

function time(sheet: Sheet): Timed {
  let ms = Number.POSITIVE_INFINITY;
  for (let call = 0; call < CALLS; call++) {
    const before = process.cpuUsage();
    identify(sheet);
    const { user, system } = process.cpuUsage(before);
    ms = Math.min(ms, (user + system) / 1000);
  }
  return { sheet, ms };
}

/** Uphill from each sheet: a change that makes it slower stays. */
function searched(from: readonly Timed[]): Timed {
  const random = seededRandom(77);
  return from
    .map((start) => {
      let worst = start;
      for (let change = 0; change < CHANGES; change++) {
        const next = time(changed(worst.sheet, random));
        if (next.ms > worst.ms) worst = next;
      }
      return worst;
    })
    .reduce((a, b) => (b.ms > a.ms ? b : a));
}

function changed(sheet: Sheet, random: Random): Sheet {
  const at = Math.floor(random() * sheet.readings.length);
  const [a, b] = shuffled(random, sheet.leads);
  const other = sheet.readings[Math.floor(random() * sheet.readings.length)];
  if (!a || !b || !other) return sheet;
  const { between: _, ...shown } = other;
  const added: Reading = { between: [a.id, b.id], ...shown };
  const without = sheet.readings.filter((_, i) => i !== at);
  const kind = random();
  const readings =
    kind < 0.4 && without.length > 0
      ? without
      : kind < 0.7
        ? [...sheet.readings, added]
        : [...without, added];
  return { ...sheet, readings };
}

function quantile(list: readonly Timed[], share: number): number {
  const sorted = list.map(({ ms }) => ms).sort((a, b) => a - b);
  return sorted[Math.floor(share * (sorted.length - 1))] ?? 0;
}
