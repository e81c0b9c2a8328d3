import { familyById, type Identification, identify, type ReadingSheetInput } from "../src/core";
import { connectedGroups, meterFor, ohmmeter, type Random, type VirtualMotor } from "../src/core/bench";
import { led } from "../src/core/practice";

/** What became of one motor that was led from an empty sheet to the end. */
export interface MotorCourse {
  readonly answer: Identification;
  readonly right: boolean;
  readonly pairReadings: number;
  /** Milliseconds of each call. */
  readonly callMs: readonly number[];
}

/** Leads a motor from an empty sheet: what is asked is read, until nothing more is. */
export function lead(
  motor: VirtualMotor,
  random: Random,
  about: ReadingSheetInput["about"] = {},
): MotorCourse {
  const meter = meterFor(motor);
  const read = ohmmeter(motor.network, meter, random);
  const { answer, readings, callMs } = led(motor, { read, meter, about, clock: () => performance.now() });
  return { answer, right: isRight(answer, motor), pairReadings: readings.length, callMs };
}

/** What is said of a sheet that holds together. */
export function answerTo(sheet: unknown): Identification {
  const answer = identify(sheet);
  if (!answer.ok) throw new Error(JSON.stringify(answer.faults));
  return answer;
}

/** Whether an answer gives the motor's family and every lead its role. */
export function isRight(answer: Identification, motor: VirtualMotor): boolean {
  const key = (roles: Iterable<[string, object]>) =>
    JSON.stringify([...roles].sort(([a], [b]) => (a < b ? -1 : 1)));
  return answer.family === motor.family && key(Object.entries(answer.roles)) === key(motor.roles);
}

/**
 * Readings that looking for one lead's partner at a time needs at best, in a motor of separate groups: each lead is
 * read to the others not yet in a group until its group is full; what must be is not read. A group of three takes one
 * reading more, between the partners found, without which nobody could tell the lead in its middle.
 */
export function partnerSearch(motor: VirtualMotor): number {
  const ids = motor.leads.map((l) => l.id);
  const groupOf = (id: string) => groups(motor).findIndex((group) => group.includes(id));
  const waiting = [...ids];
  let readings = 0;
  while (waiting.length > 0) {
    const first = waiting.shift() as string;
    let missing = (groups(motor)[groupOf(first)]?.length ?? 1) - 1;
    if (missing === 2) readings += 1;
    for (const other of [...waiting]) {
      if (missing === 0) break;
      readings += 1;
      if (groupOf(other) !== groupOf(first)) continue;
      waiting.splice(waiting.indexOf(other), 1);
      missing -= 1;
    }
  }
  return readings;
}

/** The leads of each connected group. */
export function groups(motor: VirtualMotor): string[][] {
  const { network } = motor;
  const group = connectedGroups(network.junctions, network.sections);
  const byGroup = new Map<number, string[]>();
  for (const [id, junction] of network.leadAt) {
    const g = group[junction] as number;
    byGroup.set(g, [...(byGroup.get(g) ?? []), id]);
  }
  return [...byGroup.values()];
}

/** Lead counts that a family is measured at. */
export function leadCounts(familyId: string, most: number): number[] {
  const family = familyById(familyId);
  return Array.from({ length: most - 1 }, (_, i) => i + 2).filter(
    (leads) => (family?.variants(leads, {}).length ?? 0) > 0,
  );
}
