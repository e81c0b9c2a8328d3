import { FAMILY_IDS, type Identification } from "../src/core";
import {
  aboutOf,
  meterFor,
  ohmmeter,
  type Random,
  randomMotor,
  seededRandom,
  type VirtualMotor,
} from "../src/core/bench";
import { led } from "../src/core/practice";
import { leadCounts } from "./course";

/** Motors of each family and question; ODD_LEAD_BENCH_MOTORS makes it fewer. */
const MOTORS = Math.min(200, Number(process.env.ODD_LEAD_BENCH_MOTORS ?? 2000));
const MOST_LEADS = { "two-winding": 8 } as Readonly<Record<string, number>>;

/** What of a lead's role each question asks about. */
const QUESTIONS = {
  all: () => true,
  speeds: (role) => role === "speed" || role.startsWith("main-"),
  capacitor: (role) => ["start-end", "run-end", "start", "end"].includes(role),
  shared: (role) => ["run-end", "line-common", "common"].includes(role),
  sound: () => false,
} satisfies Record<string, (role: string) => boolean>;
type Question = keyof typeof QUESTIONS;

/** What one question took: how many motors answered it, and with how many readings. */
interface Tally {
  answered: number;
  right: number;
  readings: number;
}

/** Every family led for each question with the plate told: answered, right, readings; as Markdown. */
export function asked(say: (line: string) => void): string {
  const questions = Object.keys(QUESTIONS) as Question[];
  return [
    `## Asked one thing, the plate told: ${MOTORS} motors of each family`,
    "",
    "Led from an empty sheet for one question until it is answered. Answered without what ohms cannot tell; right among the answered, of what the question asks; pair readings in the mean. A question that a family has no answer to is answered by everything.",
    "",
    `| family | ${questions.join(" | ")} |`,
    `| --- |${questions.map(() => " --- |").join("")}`,
    ...FAMILY_IDS.filter((id) => id !== "electronic").map((id) => {
      const row = `| ${id} | ${questions.map((question) => cell(id, question)).join(" | ")} |`;
      say(row);
      return row;
    }),
    "",
  ].join("\n");
}

function cell(id: string, question: Question): string {
  const counts = leadCounts(id, MOST_LEADS[id] ?? 12);
  const tally: Tally = { answered: 0, right: 0, readings: 0 };
  for (let i = 0; i < MOTORS; i++) {
    const random = seededRandom(77 + i * 6151);
    const motor = randomMotor(random, id, counts[i % counts.length] as number);
    const { answer, readings } = courseOf(motor, question, random);
    tally.readings += readings.length;
    if (answer.status !== "settled") continue;
    tally.answered += 1;
    if (isRightFor(question, answer, motor)) tally.right += 1;
  }
  const share = (part: number, of: number) => (of === 0 ? "–" : `${((100 * part) / of).toFixed(1)} %`);
  return `${share(tally.answered, MOTORS)}, ${share(tally.right, tally.answered)}, ${(tally.readings / MOTORS).toFixed(2)}`;
}

function courseOf(motor: VirtualMotor, ask: Question, random: Random) {
  const meter = meterFor(motor);
  return led(motor, { read: ohmmeter(motor.network, meter, random), meter, about: aboutOf(motor), ask });
}

/** Whether the leads in question, and no others, have the roles of the motor. */
function isRightFor(question: Question, { roles, family }: Identification, motor: VirtualMotor): boolean {
  if (question === "all" && family !== motor.family) return false;
  const text = (all: Iterable<[string, { role: string; rank?: number }]>) =>
    [...all]
      .filter(([, { role }]) => QUESTIONS[question](role))
      .map(([lead, { role, rank = 0 }]) => `${lead} ${role} ${rank}`)
      .sort()
      .join();
  return text(Object.entries(roles)) === text(motor.roles);
}
