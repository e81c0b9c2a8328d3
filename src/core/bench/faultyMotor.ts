import { familyById } from "../motor/families";
import type { About } from "../motor/family";
import type { Meter } from "../ohms/readingError";
import { pick, type Random } from "./random";
import type { VirtualMotor } from "./randomMotor";

/** The meter a technician would take for a motor: a display of tenths, of hundredths where the main is under 3 Ω. */
export function meterFor(motor: VirtualMotor): Meter {
  const main = motor.network.sections[0]?.ohms ?? 10;
  return { percent: 1, counts: 2, resolutionOhms: main < 3 ? 0.01 : 0.1, probeOhms: 0 };
}

/** The same motor with one winding section broken. */
export function openSection(motor: VirtualMotor, random: Random): VirtualMotor {
  const { sections } = motor.network;
  const gone = pick(random, sections);
  return {
    ...motor,
    network: { ...motor.network, sections: sections.filter((section) => section !== gone) },
  };
}

/** The same motor with the wire of one lead broken, or a hot protector in it; and which. */
export function openLead(motor: VirtualMotor, random: Random): { motor: VirtualMotor; lead: string } {
  const { network } = motor;
  const lead = pick(random, motor.leads).id;
  const leadAt = new Map(network.leadAt).set(lead, network.junctions);
  return { motor: { ...motor, network: { ...network, junctions: network.junctions + 1, leadAt } }, lead };
}

/** The same motor with part of the turns of one section shorted: so much of its ohms is gone. */
export function shortedTurns(motor: VirtualMotor, random: Random, share: number): VirtualMotor {
  const { sections } = motor.network;
  const bad = pick(random, sections);
  const changed = sections.map((section) =>
    section === bad ? { ...section, ohms: section.ohms * (1 - share) } : section,
  );
  return { ...motor, network: { ...motor.network, sections: changed } };
}

/** What the plate of a motor tells, as `about` says it. */
export function aboutOf(motor: VirtualMotor): About {
  const roles = [...motor.roles.values()];
  const speeds = new Set(roles.filter((role) => role.role === "speed").map((role) => role.rank)).size;
  return familyById(motor.family)?.plateTells(speeds) ?? {};
}

/** A reading between two leads, as a sheet has it. */
export interface PairReading {
  readonly between: readonly [string, string];
  readonly ohms?: number;
  readonly open?: true;
}

/** What a hand does to a value: the point moved, digits exchanged, one left out, another pair's value. */
const HANDS: readonly ((ohms: number, random: Random) => number)[] = [
  (ohms) => ohms * 10,
  (ohms) => ohms / 10,
  (ohms) => Number([...String(Math.round(ohms * 10))].reverse().join("")) / 10,
  (ohms, random) => ohms * (random() < 0.5 ? 0.5 : 1.7) + (random() < 0.5 ? 5 : 0),
];
/** A slip that changes less than this share, or this many ohms, is none worth the name. */
const LEAST_SLIP_SHARE = 0.12;
const LEAST_SLIP_OHMS = 1;

/** The same readings with one of them mistyped, and which. */
export function slipOf<R extends PairReading>(
  readings: readonly R[],
  random: Random,
): { readings: R[]; between: readonly [string, string] } {
  const good = pick(
    random,
    readings.filter((reading) => reading.ohms !== undefined),
  );
  const ohms = good.ohms ?? 0;
  let wrong = pick(random, HANDS)(ohms, random);
  if (Math.abs(wrong - ohms) < Math.max(LEAST_SLIP_OHMS, LEAST_SLIP_SHARE * ohms))
    wrong = ohms + Math.max(3, 0.5 * ohms);
  const typed = Math.round(wrong * 10) / 10;
  return {
    readings: readings.map((reading) => (reading === good ? { ...reading, ohms: typed } : reading)),
    between: good.between,
  };
}
