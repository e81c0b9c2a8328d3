import { FAMILY_IDS } from "../src/core";
import {
  aboutOf,
  meterFor,
  ohmmeter,
  openSection,
  type Random,
  randomMotor,
  seededRandom,
  slipOf,
  type VirtualMotor,
} from "../src/core/bench";
import { answerTo, groups, isRight, leadCounts } from "./course";

/** Motors of each family; ODD_LEAD_BENCH_MOTORS makes it fewer for a quick look. */
const MOTORS = Number(process.env.ODD_LEAD_BENCH_MOTORS ?? 2000);
const MOST_LEADS = 12;
/** Leads of a group from which on several sums run through every reading of it. */
const ENOUGH_LEADS = 4;

/** Full tables with an open winding, with one mistyped reading, and of sound motors; as Markdown. */
export function faults(say: (line: string) => void): string {
  const rows = FAMILY_IDS.filter((id) => id !== "electronic").map((id) => {
    const row = faultRow(id);
    say(row);
    return row;
  });
  return [
    `## Faults and slips, full tables, the plate told: ${MOTORS} motors of each family`,
    "",
    "Open: one section of the motor broken. Slip: one reading's digits mistyped, in a group of at least four leads (several sums check each reading), or of two or three (a pair's reading is checked by nothing, and of three that do not close none can be told for the wrong one). Sound: nothing wrong.",
    "",
    "| family | open found | slips among enough others | named first | settled and wrong | slips among too few | settled and wrong | sound called faulty |",
    "| --- | --- | --- | --- | --- | --- | --- | --- |",
    ...rows,
    "",
  ].join("\n");
}

function faultRow(id: string): string {
  const counts = leadCounts(id, id === "two-winding" ? 8 : MOST_LEADS);
  let open = 0;
  const enough = { slips: 0, named: 0, wrong: 0 };
  const few = { slips: 0, named: 0, wrong: 0 };
  let falseAlarm = 0;
  for (let i = 0; i < MOTORS; i++) {
    const random = seededRandom(77 + i * 6151);
    const motor = randomMotor(random, id, counts[i % counts.length] as number);
    const about = aboutOf(motor);
    const sheet = { format: "odd-lead/reading-sheet@1", leads: motor.leads, meter: meterFor(motor), about };
    const broken = answerTo({ ...sheet, readings: tableOf(openSection(motor, random), random) });
    if (broken.findings.some(({ code }) => code.startsWith("open-"))) open += 1;
    const readings = tableOf(motor, random);
    if (answerTo({ ...sheet, readings }).status === "fault") falseAlarm += 1;
    const slip = slipOf(readings, random);
    const slipped = answerTo({ ...sheet, readings: slip.readings });
    const first = slipped.findings.find(({ code }) => code === "readings-disagree");
    const group = groups(motor).find((leads) => leads.includes(slip.between[0])) ?? [];
    const tally = group.length >= ENOUGH_LEADS ? enough : few;
    tally.slips += 1;
    if (first && slip.between.every((lead) => first.leads.includes(lead))) tally.named += 1;
    if (slipped.status === "settled" && !isRight(slipped, motor)) tally.wrong += 1;
  }
  const share = (part: number, whole = MOTORS) =>
    whole > 0 ? `${((100 * part) / whole).toFixed(2)} %` : "–";
  const cells = [
    id,
    share(open),
    enough.slips,
    share(enough.named, enough.slips),
    share(enough.wrong, enough.slips),
    few.slips,
    share(few.wrong, few.slips),
    share(falseAlarm),
  ];
  return `| ${cells.join(" | ")} |`;
}

function tableOf(motor: VirtualMotor, random: Random) {
  const read = ohmmeter(motor.network, meterFor(motor), random);
  return motor.leads.flatMap((a, i) =>
    motor.leads.slice(i + 1).map((b) => ({ between: [a.id, b.id] as [string, string], ...read(a.id, b.id) })),
  );
}
