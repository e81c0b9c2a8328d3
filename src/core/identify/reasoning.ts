import { COLOUR_WORD } from "../motor/colour";
import type { LeadName } from "../motor/lead";
import { placeAlongWinding } from "../motor/role";
import { formatOhms } from "../quantity/ohms";
import type { Answer } from "./answers";
import { type Evidence, someOpen } from "./evidence";
import { breakOf } from "./hypotheses";
import type { ReadingSheet } from "./sheet";
import { bondedLeads, isOneGroup } from "./structure";

/**
 * The steps a technician would write beside the table for the best answer, in order: what is one conductor, what is
 * apart, which pair is longest, how the sums close, which lead is what.
 */
export function reasoning(
  answer: Answer,
  evidence: Evidence,
  sheet: ReadingSheet,
  names: ReadonlyMap<string, LeadName>,
): string[] {
  const word = (lead: number) => names.get(sheet.leads[lead]?.id ?? "")?.long ?? String(lead);
  const ohms = (value: number) => formatOhms(value, sheet.meter.resolutionOhms);
  const hypothesis = answer.members[0];
  if (!hypothesis) return [];
  return [
    ...bondedSentences(bondedLeads(hypothesis), evidence, word, ohms),
    ...groupSentences(answer, evidence, word),
    ...longestSentence(evidence, word, ohms),
    ...closingSentence(answer, evidence, word, ohms),
    ...roleSentences(answer, word),
  ].map(capitalised);
}

/** A sum that misses by more than this many standard deviations is not said to close. */
const CLOSING_SIGMAS = 4;

/** Below this probability the roles are not put into sentences: a guess must not read like a finding. */
const WORTH_SAYING = 0.5;

type Word = (lead: number) => string;
type Ohms = (value: number) => string;

function bondedSentences(groups: readonly number[][], evidence: Evidence, word: Word, ohms: Ohms): string[] {
  return groups.flatMap((group) => {
    const [first, ...others] = group;
    if (first === undefined) return [];
    return others.map((other) => {
      const shown = evidence.pairOf(first, other)?.ohms;
      const how =
        typeof shown === "number"
          ? `reads ${ohms(Math.max(0, shown))}`
          : "must be zero by the other readings";
      return `${word(first)} to ${word(other)} ${how}: they are one lead inside.`;
    });
  });
}

function groupSentences(answer: Answer, evidence: Evidence, word: Word): string[] {
  const hypothesis = answer.members[0];
  if (!hypothesis || !someOpen(evidence)) return [];
  if (breakOf(hypothesis) !== null || isOneGroup(hypothesis)) return [];
  const groups = new Map<number, number[]>();
  const { template, nodeOf } = hypothesis.placement;
  nodeOf.forEach((node, lead) => {
    if (node === null) return;
    const key = template.path[node]?.findIndex((mask) => mask >= 0) ?? -1;
    groups.set(key, [...(groups.get(key) ?? []), lead]);
  });
  const lists = [...groups.values()].map((group) => group.map(word).join("–"));
  const [only] = lists;
  if (only !== undefined && lists.length === 1)
    return [`${only} hang together, and are open to what was tried of the others.`];
  if (lists.length === 0) return [];
  return [`open between ${listed(lists)}: ${lists.length} separate windings or groups.`];
}

function longestSentence(evidence: Evidence, word: Word, ohms: Ohms): string[] {
  const { read } = evidence;
  if (read.length < 2) return [];
  const longest = read.reduce((best, pair) => (pair.ohms > best.ohms ? pair : best));
  return [`${word(longest.a)} to ${word(longest.b)} is the longest, ${ohms(longest.ohms)}.`];
}

/** Three leads in a row whose sum closes: the strongest single check in the table. */
function closingSentence(answer: Answer, evidence: Evidence, word: Word, ohms: Ohms): string[] {
  const hypothesis = answer.members[0];
  if (!hypothesis) return [];
  const { template, nodeOf } = hypothesis.placement;
  const mask = (a: number, b: number) => template.path[nodeOf[a] ?? -1]?.[nodeOf[b] ?? -1] ?? -1;
  const whole = [...evidence.pairs].sort((x, y) => (y.ohms ?? 0) - (x.ohms ?? 0));
  for (const { a, b, ohms: sum, sigmaOhms } of whole) {
    if (sum === null) continue;
    for (let via = 0; via < evidence.leadCount; via++) {
      const one = evidence.pairOf(a, via);
      const other = evidence.pairOf(via, b);
      const first = one?.ohms ?? null;
      const second = other?.ohms ?? null;
      if (!one || !other || first === null || second === null) continue;
      const sigma = Math.hypot(sigmaOhms, one.sigmaOhms, other.sigmaOhms);
      if (Math.abs(first + second - sum) > CLOSING_SIGMAS * sigma) continue;
      if (mask(a, via) <= 0 || mask(via, b) <= 0 || (mask(a, via) | mask(via, b)) !== mask(a, b)) continue;
      const parts = `${ohms(first)} + ${ohms(second)} = ${ohms(first + second)}`;
      // The sentence before names the longest pair; any other is named here.
      const ends = sum === whole[0]?.ohms ? "them" : `${word(a)} and ${word(b)}`;
      return [
        `${word(via)} lies between ${ends}: ${parts}, and ${word(a)} to ${word(b)} reads ${ohms(sum)}. The sums close.`,
      ];
    }
  }
  return [];
}

function roleSentences(answer: Answer, word: Word): string[] {
  if (answer.confidence < WORTH_SAYING) return ["The readings so far leave several answers open."];
  const speeds = Math.max(0, ...answer.roles.map((role) => (role?.role === "speed" ? (role.rank ?? 0) : 0)));
  const byRole = new Map<string, number[]>();
  const along = answer.roles
    .flatMap((role, lead) => (role ? [{ role, lead }] : []))
    .sort((a, b) => placeAlongWinding(a.role) - placeAlongWinding(b.role));
  for (const { role, lead } of along) {
    const text = answer.family.roleWords(role, speeds);
    byRole.set(text, [...(byRole.get(text) ?? []), lead]);
  }
  return [...byRole].map(([text, leads]) => `${listed(leads.map(word))}: ${text}.`);
}

/** "a", "a and b", "a, b and c". */
export function listed(words: readonly string[]): string {
  if (words.length <= 1) return words[0] ?? "";
  return `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;
}

/** First letter raised where the sentence begins with a word, not with a lead's own mark. */
export function capitalised(sentence: string): string {
  const first = sentence.split(/[ :,/–]/)[0] ?? "";
  const isColour = Object.values(COLOUR_WORD).some((colour) => colour === first) || /^[a-z]{4,}$/.test(first);
  return isColour ? sentence.charAt(0).toUpperCase() + sentence.slice(1) : sentence;
}
