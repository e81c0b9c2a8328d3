import { ohmmeter } from "../bench/ohmmeter";
import { seededRandom } from "../bench/random";
import type { Identification } from "../identify/identification";
import { identify } from "../identify/identify";
import type { ReadingSheetInput } from "../identify/sheet";
import { familyById } from "../motor/families";
import { type LeadName, leadNames } from "../motor/lead";
import { type Role, renumberGroups, roleKey } from "../motor/role";
import { effectiveResistance } from "../ohms/effectiveResistance";
import { formatOhms } from "../quantity/ohms";
import { led } from "./course";
import type { HandedIn } from "./handedIn";
import { type PracticeFault, type PracticeTask, practiceTask } from "./task";

/** What the bench says of a naming that was handed in. */
export interface Grade {
  /** Family, every lead and the fault: all as they are, or as no ohmmeter could tell them from. */
  readonly right: boolean;
  readonly familyRight: boolean;
  readonly faultRight: boolean;
  readonly leadsRight: readonly string[];
  readonly leadsWrong: readonly string[];
  /** The naming is not the motor's, but ohms alone cannot tell the two apart. */
  readonly alikeToTheMeter: boolean;
  readonly readingsTaken: number;
  /** Pair readings that the bench takes on the same motor, led from an empty sheet. */
  readonly readingsNeeded: number;
  readonly truth: {
    readonly family: string;
    readonly roles: Readonly<Record<string, Role>>;
    readonly fault: PracticeFault;
  };
  /** Where the reasoning went astray, and what was wasted, in plain sentences; empty when there is nothing to say. */
  readonly astray: readonly string[];
  /** How a technician would reason from these readings. */
  readonly reasoning: readonly string[];
}

/** An answer under this is as good as ruled out. */
const RULED_OUT = 0.01;

const FAULT_WORDS: Readonly<Record<PracticeFault, string>> = {
  none: "nothing is wrong with it",
  "open-winding": "a winding is broken",
  "grounded-winding": "a winding has found its way to the shell",
  "shorted-turns": "part of a winding is shorted",
};

/** Grades what was handed in. Pure: the task is drawn anew from its seed, so nothing of the truth comes from outside. */
export function grade(given: HandedIn): Grade {
  const task = practiceTask(given.seed, given.wish);
  const { sound } = task;
  const ids = sound.leads.map((lead) => lead.id);
  const truth = Object.fromEntries(sound.roles);
  const naming: Naming = { family: given.naming.family, roles: plainRoles(given.naming.roles) };
  const roleRight = (lead: string) => sameRole(naming.roles, truth, lead, ids);
  const familyRight = naming.family === sound.family;
  const named = familyRight && ids.every(roleRight);
  const alikeToTheMeter = !named && task.fault === "none" && isAlike(task, naming);
  const faultRight = given.naming.fault === task.fault;
  // A motor with a fault is not put into service: finding the fault is what counts there.
  const right = faultRight && (task.fault !== "none" || named || alikeToTheMeter);
  const sheets = prefixes(task, given);
  const last = sheets.at(-1);
  return {
    right,
    familyRight,
    faultRight,
    leadsRight: ids.filter(roleRight),
    leadsWrong: ids.filter((lead) => !roleRight(lead)),
    alikeToTheMeter,
    readingsTaken: given.readings.length,
    readingsNeeded: needed(task, given.seed),
    truth: { family: sound.family, roles: truth, fault: task.fault },
    astray: [
      ...(faultRight ? [] : [faultMissed(task, given)]),
      ...(task.fault === "none" && !right && faultRight ? whereItWentAstray(naming, sheets, task) : []),
      ...(alikeToTheMeter ? ["Ohms cannot tell your naming from the motor’s own: it counts as right."] : []),
      ...wasted(sheets, given, task),
    ],
    reasoning: last?.answer.reasoning ?? [],
  };
}

interface Naming {
  readonly family: string;
  readonly roles: Readonly<Record<string, Role>>;
}

/** A sheet as it stood after each reading, and what it said. */
interface Prefix {
  readonly count: number;
  readonly answer: Identification;
}

function plainRoles(roles: HandedIn["naming"]["roles"]): Record<string, Role> {
  return Object.fromEntries(
    Object.entries(roles).map(([lead, { role, rank, group }]) => [
      lead,
      {
        role,
        ...(rank === undefined ? {} : { rank }),
        ...(group === undefined ? {} : { group }),
      },
    ]),
  );
}

/** Whether a lead has the same role in both namings, and the same leads beside it in its group. */
function sameRole(
  one: Readonly<Record<string, Role>>,
  other: Readonly<Record<string, Role>>,
  lead: string,
  ids: readonly string[],
): boolean {
  const [mine, yours] = [one[lead], other[lead]];
  if (!mine || !yours || mine.role !== yours.role || mine.rank !== yours.rank) return false;
  const fellows = (roles: Readonly<Record<string, Role>>) =>
    ids.filter((id) => roles[id]?.group !== undefined && roles[id]?.group === roles[lead]?.group).join();
  return (mine.group === undefined) === (yours.group === undefined) && fellows(one) === fellows(other);
}

function sameNaming(one: Naming, other: Naming, ids: readonly string[]): boolean {
  const key = ({ roles }: Naming) =>
    renumberGroups(ids.map((id) => roles[id] ?? null))
      .map((role) => (role ? roleKey(role) : "?"))
      .join();
  return one.family === other.family && key(one) === key(other);
}

/** Whether a naming is among the answers of the full table, read without error: then no ohmmeter could tell. */
function isAlike(task: PracticeTask, naming: Naming): boolean {
  const ids = task.motor.leads.map((lead) => lead.id);
  const table = effectiveResistance(task.motor.network);
  const at = (lead: string) => task.motor.network.leadAt.get(lead) ?? 0;
  const readings = ids.flatMap((a, i) =>
    ids.slice(i + 1).map((b) => {
      const ohms = table[at(a)]?.[at(b)] ?? Number.POSITIVE_INFINITY;
      const between: [string, string] = [a, b];
      return Number.isFinite(ohms) ? { between, ohms } : { between, open: true as const };
    }),
  );
  const answer = identified(task, readings, []);
  return answersOf(answer).some((one) => sameNaming(one, naming, ids));
}

function answersOf(answer: Identification): Naming[] {
  const all = [{ family: answer.family ?? "", roles: answer.roles, confidence: 1 }, ...answer.alternatives];
  return all
    .filter(({ confidence }) => confidence >= RULED_OUT)
    .map(({ family, roles }) => ({ family, roles: plainRoles(roles) }));
}

function identified(
  task: PracticeTask,
  readings: ReadingSheetInput["readings"],
  frame: ReadingSheetInput["frame"],
): Identification {
  const answer = identify({
    format: "odd-lead/reading-sheet@1",
    leads: [...task.motor.leads],
    meter: task.meter,
    readings,
    frame,
    about: {},
  } satisfies ReadingSheetInput);
  if (!answer.ok) throw new Error(JSON.stringify(answer.faults));
  return answer;
}

/** Readings of leads that are not on this motor are nobody's; they are passed over. */
function prefixes(task: PracticeTask, given: HandedIn): Prefix[] {
  const ids = new Set(task.motor.leads.map((lead) => lead.id));
  const readings = given.readings.filter(({ between: [a, b] }) => a !== b && ids.has(a) && ids.has(b));
  const frame = given.frame.filter(({ lead }) => ids.has(lead));
  return readings.map((_, k) => ({
    count: k + 1,
    answer: identified(task, readings.slice(0, k + 1), frame),
  }));
}

function needed(task: PracticeTask, seed: number): number {
  const read = ohmmeter(task.motor.network, task.meter, seededRandom(seed ^ 0x5bd1e995));
  return led(task.motor, { read, meter: task.meter, shellOhms: task.shellOhms }).readings.length;
}

function faultMissed({ fault, plate, motor, shellOhms }: PracticeTask, given: HandedIn): string {
  const names = leadNames(motor.leads);
  const short = (lead: string) => names.get(lead)?.short ?? lead;
  if (fault === "none")
    return `You said that ${FAULT_WORDS[given.naming.fault]}; nothing is wrong with this motor. ${
      given.naming.fault === "open-winding"
        ? "Leads of separate windings read open to each other in a sound motor too."
        : "No reading of yours shows it."
    }`;
  const grounded = motor.leads.filter(({ id }) => shellOhms(id) !== null).map(({ id }) => id);
  const how: Readonly<Record<Exclude<PracticeFault, "none">, string>> = {
    "open-winding": "leads that belong to one winding read open to each other",
    "grounded-winding": `${grounded.map(short).join(", ")} read ohms to the shell${
      given.frame.some(({ lead }) => grounded.includes(lead)) ? "" : ", where you never put the probe"
    }`,
    "shorted-turns": `a winding reads under what the plate gives (${plate
      .map(({ winding, ohms }) => `${winding} ${ohms} Ω`)
      .join(", ")})`,
  };
  return `In this motor ${FAULT_WORDS[fault]}: ${how[fault]}.`;
}

/** The reading after which the naming no longer fitted, or that it was still possible and what would have told. */
function whereItWentAstray(naming: Naming, sheets: readonly Prefix[], task: PracticeTask): string[] {
  const ids = task.motor.leads.map((lead) => lead.id);
  const names = leadNames(task.motor.leads);
  const last = sheets.at(-1);
  if (!last) return ["Nothing was read between two leads: this was a guess."];
  const fits = ({ answer }: Prefix) => answersOf(answer).some((one) => sameNaming(one, naming, ids));
  if (fits(last)) {
    const probe = last.answer.nextProbe;
    const next =
      probe?.kind === "pair"
        ? ` ${pairName(probe.between, names)} would have told: ${decapitalised(probe.because)}`
        : "";
    return [`Your naming was still possible with what you had read, and so was the right one.${next}`];
  }
  const lastFit = sheets.findLastIndex(fits);
  const broke = sheets[lastFit + 1];
  if (lastFit < 0 || !broke) {
    const family = familyById(task.sound.family)?.title ?? task.sound.family;
    return [`Your naming never fitted the readings. They are those of a motor with ${family}.`];
  }
  return [
    `After reading ${broke.count} your naming no longer fitted. From there on the readings say: ${
      last.answer.reasoning.at(-1) ?? "another order of the leads"
    }`,
  ];
}

function wasted(sheets: readonly Prefix[], given: HandedIn, task: PracticeTask): string[] {
  const names = leadNames(task.motor.leads);
  const says: string[] = [];
  const settled = sheets.find(({ answer }) => answer.status === "settled" || answer.status === "tied");
  const more = settled ? sheets.length - settled.count : 0;
  if (settled && more > 0)
    says.push(`Ohms had said all they can after ${settled.count} readings; ${more} more told nothing new.`);
  const key = ({ between }: { between: readonly string[] }) => [...between].sort().join(" ");
  const twice = given.readings.filter(
    (r, i) => given.readings.findIndex((other) => key(other) === key(r)) < i,
  );
  for (const { between } of twice.slice(0, 3))
    says.push(`${pairName(between, names)} was read more than once.`);
  if (given.frame.length === 0)
    says.push("No lead was tested to the shell: that comes before anything else.");
  return says;
}

/** A reading's leads as a sheet names them. */
function pairName([a, b]: readonly [string, string], names: ReadonlyMap<string, LeadName>): string {
  return `${names.get(a)?.short ?? a}–${names.get(b)?.short ?? b}`;
}

function decapitalised(sentence: string): string {
  return sentence.charAt(0).toLowerCase() + sentence.slice(1);
}

/** What a reading showed, for the learner's notes. */
export function noted(reading: { ohms: number } | { open: true }, resolutionOhms: number): string {
  return "open" in reading ? "OL" : formatOhms(reading.ohms, resolutionOhms);
}
