import { haveCommon, type LeadSet, less, NO_LEADS, union } from "./leadSet";
import type { Facts } from "./sheetFacts";
import type { Template } from "./template";

/**
 * Leads set on the nodes of a template while a search goes on. It is changed in place, a lead on and off again: the search
 * makes and unmakes millions of them.
 */
export interface Seating {
  readonly template: Template;
  /** For each lead, those it read open to. */
  readonly openTo: readonly LeadSet[];
  /** The node of each lead, by place in the sheet. */
  readonly nodeOf: (number | null)[];
  /** Leads on each node. */
  readonly count: number[];
  /** Leads in each group. */
  readonly members: LeadSet[];
}

/** Nobody seated yet. */
export function emptySeating(template: Template, { openTo }: Pick<Facts, "openTo">): Seating {
  const { length } = template.variant.nodes;
  return {
    template,
    openTo,
    nodeOf: Array(openTo.length).fill(null),
    count: Array(length).fill(0),
    members: Array(length).fill(NO_LEADS),
  };
}

/** Whether leads may sit on a node: it is their turn among its mirror images, and nobody in its group reads open to them. */
export function maySit(seating: Seating, node: number, leads: readonly number[], set: LeadSet): boolean {
  const { template, members } = seating;
  if (template.before[node]?.some((block) => isUntouched(seating, block))) return false;
  const beside = members[template.group[node] as number] as LeadSet;
  return !haveCommon(union(beside, set), openToSome(seating, leads));
}

/** Seats leads on a node, or with `on` false takes them off it. */
export function seatInPlace(
  { template, nodeOf, count, members }: Seating,
  node: number,
  leads: readonly number[],
  set: LeadSet,
  on: boolean,
): void {
  const group = template.group[node] as number;
  for (const lead of leads) nodeOf[lead] = on ? node : null;
  count[node] = (count[node] as number) + (on ? leads.length : -leads.length);
  members[group] = on ? union(members[group] as LeadSet, set) : less(members[group] as LeadSet, set);
}

/** A node and its mirror images, as far as nothing yet tells them apart: how many they are. */
export function imagesOf(seating: Seating, start: number): number {
  const { mirrors } = seating.template;
  if (mirrors[start]?.length === 0) return 1;
  const alike = [start];
  for (const node of alike) {
    for (const mirror of mirrors[node] ?? []) {
      if (alike.includes(mirror.node)) continue;
      if (isUntouched(seating, mirror.own) && isUntouched(seating, mirror.other)) alike.push(mirror.node);
    }
  }
  return alike.length;
}

function isUntouched({ count }: Seating, block: readonly number[]): boolean {
  return block.every((node) => count[node] === 0);
}

/** The leads that some of these read open to. */
function openToSome({ openTo }: Seating, leads: readonly number[]): LeadSet {
  let shut = NO_LEADS;
  for (const lead of leads) shut = union(shut, openTo[lead] as LeadSet);
  return shut;
}
