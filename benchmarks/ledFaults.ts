import { FAMILY_IDS, type Identification, identify, type ReadingSheetInput } from "../src/core";
import {
  aboutOf,
  meterFor,
  type Ohmmeter,
  ohmmeter,
  openLead,
  openSection,
  pick,
  type Random,
  randomMotor,
  seededRandom,
  shortedTurns,
  slipOf,
  type VirtualMotor,
} from "../src/core/bench";
import { groups, isRight, leadCounts } from "./course";

/** Motors of each family and telling, a fault each in turn; ODD_LEAD_BENCH_MOTORS makes it fewer. */
const MOTORS = Number(process.env.ODD_LEAD_BENCH_MOTORS ?? 2000);
const MOST_LEADS = { "two-winding": 8 } as Readonly<Record<string, number>>;
const MOST_READINGS = 90;
/** Turns shorted: so much of a winding's ohms is gone. */
const SHORTED_SHARE = 0.14;
const GROUNDED_OHMS = 1800;

const FAULTS = [
  "sound",
  "open winding",
  "open lead",
  "hot protector",
  "grounded",
  "shorted turn",
  "slip",
] as const;
type FaultKind = (typeof FAULTS)[number];

interface Led {
  readonly answer: Identification;
  readonly readings: number;
  /** Condemned on the way, before a hot motor had cooled. */
  readonly stopped: boolean;
}

interface Tally {
  motors: number;
  good: number;
  settled: number;
  wrong: number;
  readings: number;
}

/** Every family led from an empty sheet with one fault, nothing told and the plate told; as Markdown. */
export function ledFaults(say: (line: string) => void): string {
  return ["nothing told", "the plate told"]
    .flatMap((telling) => [
      `## Led with a fault, ${telling}: ${MOTORS} motors of each family, a fault each in turn`,
      "",
      "Every reading that is asked for is taken, a hot motor left to cool where that is asked. Good: a sound or cooled motor not called faulty, an open, grounded or shorted one named, a slip named or read again so that the end is not wrong. In brackets: settled while it is broken with no doubt said, or settled and wrong; then readings. Shorted turns only where a twin shows them.",
      "",
      `| family | ${FAULTS.join(" | ")} |`,
      `| --- |${FAULTS.map(() => " --- |").join("")}`,
      ...FAMILY_IDS.filter((id) => id !== "electronic").map((id) => {
        const row = faultRow(id, telling === "the plate told");
        say(row);
        return row;
      }),
      "",
    ])
    .join("\n");
}

function faultRow(id: string, told: boolean): string {
  const counts = leadCounts(id, MOST_LEADS[id] ?? 12);
  const tallies = new Map<FaultKind, Tally>();
  for (let i = 0; i < MOTORS; i++) {
    const random = seededRandom(501 + i * 6151);
    const motor = randomMotor(random, id, counts[i % counts.length] as number);
    const kind = FAULTS[Math.floor(i / counts.length) % FAULTS.length] as FaultKind;
    if (kind === "shorted turn" && !hasTwins(motor)) continue;
    const course = ledWith(kind, motor, told, random);
    const tally = tallies.get(kind) ?? { motors: 0, good: 0, settled: 0, wrong: 0, readings: 0 };
    tallies.set(kind, tally);
    const settled = course.answer.status === "settled";
    tally.motors += 1;
    tally.readings += course.readings;
    if (isGood(kind, course, motor)) tally.good += 1;
    if (settled) tally.settled += 1;
    if (settled && (isBroken(kind) ? !isDoubted(course.answer) : !isRight(course.answer, motor)))
      tally.wrong += 1;
  }
  const cells = FAULTS.map((kind) => {
    const tally = tallies.get(kind);
    if (!tally) return "–";
    const share = (part: number) => `${((100 * part) / tally.motors).toFixed(1)} %`;
    return `${share(tally.good)} (${share(tally.wrong)}; ${(tally.readings / tally.motors).toFixed(2)})`;
  });
  return `| ${id} | ${cells.join(" | ")} |`;
}

function isBroken(kind: FaultKind): boolean {
  return kind === "open winding" || kind === "open lead" || kind === "grounded" || kind === "shorted turn";
}

/** Whether something is said against the motor, though its leads are settled. */
function isDoubted({ findings }: Identification): boolean {
  return findings.some(({ severity }) => severity !== "note");
}

function isGood(kind: FaultKind, { answer, stopped }: Led, motor: VirtualMotor): boolean {
  const found = (...codes: string[]) => answer.findings.some(({ code }) => codes.includes(code));
  switch (kind) {
    case "sound":
      return answer.status !== "fault";
    case "open winding":
    case "open lead":
      return found("open-winding", "open-common");
    case "hot protector":
      return stopped && answer.status !== "fault";
    case "grounded":
      return found("grounded-winding");
    case "shorted turn":
      return found("shorted-turns", "unbalanced-phases");
    case "slip":
      return answer.status !== "fault" && (answer.status !== "settled" || isRight(answer, motor));
  }
}

/** Windings wound alike that a shorted one shows beside. */
function hasTwins({ family }: VirtualMotor): boolean {
  return family.startsWith("three-phase") || family.startsWith("dual-voltage");
}

function ledWith(kind: FaultKind, motor: VirtualMotor, told: boolean, random: Random): Led {
  const meter = meterFor(motor);
  const of = (one: VirtualMotor) => ohmmeter(one.network, meter, random);
  const about = told ? aboutOf(motor) : {};
  switch (kind) {
    case "open winding":
      return leadOn(motor, of(openSection(motor, random)), { about });
    case "open lead":
      return leadOn(motor, of(openLead(motor, random).motor), { about });
    case "hot protector":
      return leadOn(motor, of(openLead(motor, random).motor), { about, cooled: of(motor) });
    case "shorted turn":
      return leadOn(motor, of(shortedTwin(motor, random)), { about });
    case "grounded":
      return leadOn(motor, of(motor), { about, grounded: pick(random, groups(motor)) });
    case "slip":
      return leadOn(motor, of(motor), {
        about,
        slip: { at: Math.floor(random() * motor.leads.length), random },
      });
    case "sound":
      return leadOn(motor, of(motor), { about });
  }
}

/** A start winding has no twin: it is left whole. */
function shortedTwin(motor: VirtualMotor, random: Random): VirtualMotor {
  for (;;) {
    const short = shortedTurns(motor, random, SHORTED_SHARE);
    const bad = short.network.sections.findIndex((section, s) => section !== motor.network.sections[s]);
    if (motor.network.sections[bad]?.winding !== "start") return short;
  }
}

interface Leading {
  readonly about: ReadingSheetInput["about"];
  /** What it reads once it has been left to cool. */
  readonly cooled?: Ohmmeter;
  readonly grounded?: readonly string[];
  readonly slip?: { readonly at: number; readonly random: Random };
}

/** Takes every reading that is asked for, whatever the verdict, until none is. */
function leadOn(motor: VirtualMotor, meterOn: Ohmmeter, { about, cooled, grounded, slip }: Leading): Led {
  const meter = meterFor(motor);
  const readings: NonNullable<ReadingSheetInput["readings"]> = [];
  const frame: NonNullable<ReadingSheetInput["frame"]> = [];
  let read = meterOn;
  let stopped = false;
  for (;;) {
    const answer = identify({
      format: "odd-lead/reading-sheet@1",
      leads: [...motor.leads],
      meter,
      readings,
      frame,
      about,
    } satisfies ReadingSheetInput);
    if (!answer.ok) throw new Error(JSON.stringify(answer.faults));
    if (answer.status === "fault" && cooled) {
      stopped = true;
      read = cooled;
    }
    const probe = answer.nextProbe;
    const done = answer.status === "settled" || (answer.status === "tied" && probe?.kind !== "frame");
    if (!probe || done || readings.length >= MOST_READINGS)
      return { answer, readings: readings.length, stopped };
    if (probe.kind === "frame") {
      const touches = grounded?.includes(probe.lead) ?? false;
      frame.push(touches ? { lead: probe.lead, ohms: GROUNDED_OHMS } : { lead: probe.lead, open: true });
      continue;
    }
    const shown = read(...probe.between);
    const taken = { between: probe.between, ...shown };
    const slips = slip && slip.at === readings.length && "ohms" in shown;
    readings.push((slips ? slipOf([taken], slip.random).readings[0] : taken) as (typeof readings)[number]);
  }
}
