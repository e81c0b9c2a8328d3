import type { Break } from "../breaks";
import { COOLING_MINUTES } from "../coolingMinutes";
import { type Evidence, type PairEvidence, someOpen } from "../evidence";
import { breakOf, type Hypothesis } from "../hypotheses";
import type { Finding, Identification, NextProbe } from "../identification";
import { type FindingContext, idsOf } from "./context";
import { inLineFinding, isInLine, type OpenCase, openCases, wordsOf } from "./openCases";

/** A broken build at this probability condemns the motor; under it the probing goes on. */
const CONDEMNED = 0.95;
/** Builds under this are not listed as in the running. */
const LEAST_LISTED = 0.01;

/** What stands in line with a start winding reads open too, and is no broken winding. */
function inLineWords(one: OpenCase, context: FindingContext): string {
  const { capacitor } = context.sheet.about;
  if (one.what !== "start" || capacitor === "none" || capacitor === "run") return "";
  return " A start capacitor or an open start switch in line reads open too, or climbs: bridge it, or lift it and read the winding by itself.";
}

/** That the motor is broken or hot, and where, once that build itself is sure enough to condemn it. */
export function openFindings(context: FindingContext): Finding[] {
  const [worst] = openCases(context);
  const { pairs, leadCount } = context.evidence;
  const touched = new Set(pairs.flatMap(({ a, b }) => [a, b])).size;
  if (!worst || worst.probability < CONDEMNED || touched < leadCount) return [];
  if (untriedAmong(worst, context)) return [];
  if (isInLine(worst, context)) return [inLineFinding(worst, context)];
  const still = readAgain(worst, context);
  const rest = still
    ? "Read again after it cooled, it is open still: broken, and not fit to run."
    : `Let the motor cool for ${COOLING_MINUTES} minutes and read again before condemning it.`;
  return [
    {
      code: isCommon(worst, context) ? "open-common" : "open-winding",
      severity: "fault",
      leads: idsOf(context, worst.apart),
      says: `${wordsOf(worst, context)}${inLineWords(worst, context)} ${rest}`,
    },
  ];
}

/** The broken or hot builds that could be behind what reads open, likeliest first. */
export function brokenIf(context: FindingContext): Identification["brokenIf"] {
  if (!someOpen(context.evidence)) return [];
  return openCases(context)
    .filter(({ probability }) => probability >= LEAST_LISTED)
    .map((one) => ({
      leads: idsOf(context, one.apart),
      confidence: one.probability,
      says: wordsOf(one, context),
    }));
}

/**
 * A lead that nothing joins yet, with one that it was not read to: of those that nothing joins either, which may be a sound
 * winding with it, or of a group that it may belong to. Null where each of them reads open to everything.
 */
function untriedAmong({ apart }: OpenCase, { evidence }: FindingContext): readonly [number, number] | null {
  const untried = (one: number) => groupsUntried(evidence, one)[0] ?? null;
  for (const [i, one] of apart.entries())
    for (const other of apart.slice(i + 1)) if (!evidence.pairOf(one, other)) return [one, other];
  if (apart.length < 2) return null;
  for (const one of apart) {
    const other = untried(one);
    if (other !== null) return [one, other];
  }
  return null;
}

/** One lead of each group that a lead was read to nowhere. */
function groupsUntried(evidence: Evidence, lead: number): number[] {
  const { groupOf } = evidence;
  const tried = new Set(
    evidence.pairs.flatMap(({ a, b }) => (a === lead ? [groupOf[b]] : b === lead ? [groupOf[a]] : [])),
  );
  const firsts = groupOf.flatMap((group, one) => (groupOf.indexOf(group) === one ? [one] : []));
  return firsts.filter((one) => groupOf[one] !== groupOf[lead] && !tried.has(groupOf[one]));
}

/** Where something is surely open: the pair that tells which winding it is, among leads that nothing joins yet. */
export function partnerProbe(context: FindingContext): NextProbe | null {
  const [worst] = openCases(context);
  const pair = worst && worst.probability >= CONDEMNED ? untriedAmong(worst, context) : null;
  if (!pair) return null;
  const [one = "", other = ""] = idsOf(context, pair);
  return {
    kind: "pair",
    between: [one, other],
    because: "Something is open: this tells which winding it is.",
  };
}

/** A pair that is open through the break, to be read once more when the motor has cooled; null where it was. */
export function cooledProbe(context: FindingContext): NextProbe | null {
  const [worst] = openCases(context);
  if (!worst || readAgain(worst, context)) return null;
  const pair = unreadAgain(worst, context).at(-1);
  if (!pair) return null;
  const [one = "", other = ""] = idsOf(context, [pair.a, pair.b]);
  return {
    kind: "pair",
    between: [one, other],
    because: isInLine(worst, context)
      ? "Once more with what stands in line bridged or lifted: ohms then mean that the winding is whole."
      : `Once more when it has cooled for ${COOLING_MINUTES} minutes: ohms then mean that a protector was hot, open that it is broken.`,
  };
}

/**
 * An open pair that the sound motor joins and the break parts: once what is open has closed it reads ohms. Two groups of
 * their own read open whatever happens, and prove nothing.
 */
function isAcross(
  hypothesis: Hypothesis,
  apart: readonly number[],
  { a, b, ohms }: { readonly a: number; readonly b: number; readonly ohms: number | null },
): boolean {
  if (ohms !== null) return false;
  const { template, nodeOf } = hypothesis.placement;
  const broken = breakOf(hypothesis) as Break;
  const groupOf = (lead: number) => {
    const node = nodeOf[lead] ?? null;
    return node === null ? null : (template.group[node] ?? null);
  };
  const [one, other] = [groupOf(a), groupOf(b)];
  if (broken.kind === "junction") return one === null || other === null || one !== other;
  const ends = broken.kind === "section" ? broken.joined : [broken.node, broken.apart];
  const sides = ends.map((node) => template.group[node] ?? null);
  const on = (group: number | null, side: number | null | undefined) => group === null || group === side;
  if (one === null && other === null) return apart.length === 2;
  return (on(one, sides[0]) && on(other, sides[1])) || (on(one, sides[1]) && on(other, sides[0]));
}

/** Whether every pair that the break may part was read again, and is open still. */
function readAgain(one: OpenCase, context: FindingContext): boolean {
  const across = acrossOf(one, context);
  return across.length > 0 && unreadAgain(one, context).length === 0;
}

/**
 * Open pairs that the break may part and that were read once. What hangs together counts as one: of a lead that may belong
 * to either of two groups, one pair with each.
 */
function unreadAgain(one: OpenCase, context: FindingContext): PairEvidence[] {
  const across = acrossOf(one, context);
  const { groupOf } = context.evidence;
  const between = ({ a, b }: PairEvidence) => [groupOf[a], groupOf[b]].sort().join();
  const again = new Set(
    across.filter(({ shown }) => shown.filter((ohms) => ohms === null).length > 1).map(between),
  );
  return across.filter((pair) => !again.has(between(pair)));
}

function acrossOf({ likely, apart }: OpenCase, { evidence }: FindingContext): PairEvidence[] {
  return evidence.pairs.filter((pair) => likely.some((hypothesis) => isAcross(hypothesis, apart, pair)));
}

function isCommon({ hypothesis, apart }: OpenCase, { answers }: FindingContext): boolean {
  const broken = breakOf(hypothesis) as Break;
  if (broken.kind !== "section") return true;
  const role = answers.find(({ members }) => members.includes(hypothesis))?.roles[apart[0] ?? -1]?.role;
  return apart.length === 1 && role !== "start-end" && role !== "start";
}
