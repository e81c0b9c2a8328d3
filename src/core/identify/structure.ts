import { hiddenEnd } from "../motor/sectionEnd";
import { additiveTree } from "../ohms/additiveTree";
import type { Evidence } from "./evidence";
import type { Hypothesis } from "./hypotheses";
import type { Identification } from "./identification";
import { pathBetween } from "./paths";
import { predict } from "./prediction";

type SectionOut = Identification["sections"][number];

/**
 * The winding sections of a hypothesis that readings run through, with two standard deviations of uncertainty.
 * Junctions that are not brought out are named "*1", "*2" …
 */
export function sectionsOf(hypothesis: Hypothesis, evidence: Evidence, ids: readonly string[]): SectionOut[] {
  const { template, nodeOf } = hypothesis.placement;
  let read = 0;
  for (const { a, b } of evidence.read) read |= Math.max(0, pathBetween(template, nodeOf, a, b));
  const name = (node: number) => {
    const lead = nodeOf.indexOf(node);
    return lead >= 0 ? (ids[lead] ?? "") : hiddenEnd(hiddenNumber(node));
  };
  const unnamed = template.variant.nodes.map((_, n) => n).filter((n) => !nodeOf.includes(n));
  const hiddenNumber = (node: number) => unnamed.indexOf(node) + 1;
  return template.variant.sections.flatMap((section, s) => {
    if (((read >> s) & 1) === 0) return [];
    const { ohms, sigmaOhms } = predict(hypothesis, 1 << s);
    const between: [string, string] = [name(section.from), name(section.to)];
    return [{ between, ohms: round(ohms), uncertaintyOhms: round(2 * sigmaOhms), winding: section.winding }];
  });
}

/** Sections when no family stands: the tree alone, from the largest group whose table is complete. */
export function sectionsWithoutFamily(evidence: Evidence, ids: readonly string[]): SectionOut[] {
  const leads = completeGroup(evidence);
  if (leads.length < 2) return [];
  const at = evidence.pairOf;
  const tree = additiveTree(
    leads.map((a) => leads.map((b) => (a === b ? 0 : (at(a, b)?.ohms ?? 0)))),
    leads.map((a) => leads.map((b) => (a === b ? 0 : (at(a, b)?.sigmaOhms ?? 1)))),
  );
  const name = (junction: number) => {
    const lead = leads[tree.junctionOf.indexOf(junction)];
    return lead === undefined ? hiddenEnd(junction + 1) : (ids[lead] ?? "");
  };
  const sigma = Math.min(...evidence.read.map((p) => p.sigmaOhms));
  return tree.edges.map(({ from, to, ohms }) => ({
    between: [name(from), name(to)],
    ohms: round(ohms),
    uncertaintyOhms: round(2 * sigma),
    winding: "main",
  }));
}

function completeGroup(evidence: Evidence): number[] {
  let best: number[] = [];
  for (let start = 0; start < evidence.leadCount; start++) {
    const group = [start];
    for (let next = 0; next < evidence.leadCount; next++) {
      const joins = (member: number) => (evidence.pairOf(member, next)?.ohms ?? null) !== null;
      if (!group.includes(next) && group.every(joins)) group.push(next);
    }
    if (group.length > best.length) best = group.sort((a, b) => a - b);
  }
  return best;
}

/**
 * How many readings of a hypothesis, or of some leads of it, are checks: more than its sections needed. That two leads are
 * one conductor checks nothing but itself.
 */
export function checkCount(hypothesis: Hypothesis, evidence: Evidence, among?: readonly number[]): number {
  const { template, nodeOf } = hypothesis.placement;
  const rows = evidence.read
    .filter((p) => !among || (among.includes(p.a) && among.includes(p.b)))
    .map((p) => pathBetween(template, nodeOf, p.a, p.b))
    .filter((mask) => mask !== 0)
    .map((mask) => template.variant.sections.map((_, s) => (mask >> s) & 1));
  return rows.length - rank(rows);
}

/** Rank of a 0/1 matrix by Gaussian elimination; the entries stay small halves, so the cut-off is far from both. */
function rank(rows: readonly (readonly number[])[]): number {
  const work = rows.map((row) => [...row]);
  let found = 0;
  for (let column = 0; column < (work[0]?.length ?? 0); column++) {
    const pivot = work.findIndex((row, r) => r >= found && Math.abs(row[column] ?? 0) > 1e-9);
    if (pivot < 0) continue;
    const [line] = work.splice(pivot, 1) as [number[]];
    work.splice(found, 0, line);
    for (const row of work.slice(found + 1)) {
      const factor = (row[column] ?? 0) / (line[column] ?? 1);
      if (factor !== 0)
        row.forEach((value, c) => {
          row[c] = value - factor * (line[c] ?? 0);
        });
    }
    found += 1;
  }
  return found;
}

/** The leads that hang together under a hypothesis, group by group, by place in the sheet; leads without a place in none. */
export function leadGroups({ placement: { template, nodeOf } }: Hypothesis): number[][] {
  const groups = new Map<number, number[]>();
  nodeOf.forEach((node, lead) => {
    const group = node === null ? undefined : template.group[node];
    if (group !== undefined) groups.set(group, [...(groups.get(group) ?? []), lead]);
  });
  return [...groups.values()];
}

/** Whether all leads of a hypothesis hang together as one group. */
export function isOneGroup(hypothesis: Hypothesis): boolean {
  const { template } = hypothesis.placement;
  const brought = template.variant.nodes.flatMap((node, n) => (node.leads > 0 ? [n] : []));
  return brought.every((n) => (template.path[brought[0] ?? 0]?.[n] ?? -1) >= 0);
}

/** Leads that are one conductor inside, by place in the sheet, groups of two and more. */
export function bondedLeads(hypothesis: Hypothesis): number[][] {
  const { nodeOf } = hypothesis.placement;
  const groups = new Map<number, number[]>();
  nodeOf.forEach((node, lead) => {
    if (node !== null) groups.set(node, [...(groups.get(node) ?? []), lead]);
  });
  return [...groups.values()].filter((group) => group.length > 1);
}

/** The ohms a hypothesis gives for a pair; null for open or unknown. */
export function impliedOhms(hypothesis: Hypothesis, a: number, b: number): number | null {
  const mask = pathBetween(hypothesis.placement.template, hypothesis.placement.nodeOf, a, b);
  return mask < 0 ? null : predict(hypothesis, mask).ohms;
}

function round(value: number): number {
  return Number(value.toPrecision(4));
}
