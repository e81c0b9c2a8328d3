import type { Winding } from "../../motor/network";
import type { Break } from "../breaks";
import { breakOf, type Hypothesis } from "../hypotheses";
import type { Finding } from "../identification";
import { capitalised, listed } from "../reasoning";
import { parting } from "../stakes";
import { type FindingContext, idsOf, wordOf } from "./context";

/** Broken builds that part the leads in the same way: to the meter they are one. */
export interface OpenCase {
  readonly probability: number;
  /** The likeliest of them. */
  readonly hypothesis: Hypothesis;
  /** Those that are not far-fetched. */
  readonly likely: readonly Hypothesis[];
  /** What is open in any of them that is not far-fetched. */
  readonly parts: ReadonlySet<OpenPart>;
  /** What is open in nearly all of them; null where they differ in that. */
  readonly what: OpenPart | null;
  /** Leads that no reading joins to another, by place in the sheet. */
  readonly apart: readonly number[];
}

/** A winding by its kind, a lead, or a joint inside. */
export type OpenPart = Winding | "lead" | "joint";

/** Of the builds that part the leads alike, so many at least have to agree before the open part is named. */
const NAMED = 0.8;
/** Beside the likeliest of them, a build this likely is not far-fetched. */
const POSSIBLE = 0.1;

const casesSeen = new WeakMap<FindingContext, readonly OpenCase[]>();

/** What may be open, likeliest first; worked out once for a context, which several questions are asked of. */
export function openCases(context: FindingContext): readonly OpenCase[] {
  const before = casesSeen.get(context);
  if (before) return before;
  const made = casesAmong(context);
  casesSeen.set(context, made);
  return made;
}

function casesAmong({ answers }: FindingContext): OpenCase[] {
  const members = answers.flatMap((answer) => answer.members);
  const best = Math.max(...members.map(({ logWeight }) => logWeight));
  const weight = ({ logWeight }: Hypothesis) => Math.exp(logWeight - best);
  const total = members.reduce((sum, member) => sum + weight(member), 0);
  const cases = new Map<string, Hypothesis[]>();
  for (const member of members) {
    if (breakOf(member) === null) continue;
    const key = parting(member);
    const alike = cases.get(key);
    if (alike) alike.push(member);
    else cases.set(key, [member]);
  }
  return [...cases.values()]
    .map((alike): OpenCase => {
      const hypothesis = alike.reduce((one, other) => (weight(other) > weight(one) ? other : one));
      const sum = (some: readonly Hypothesis[]) => some.reduce((all, member) => all + weight(member), 0);
      const like = alike.filter((member) => whatIsOpen(member) === whatIsOpen(hypothesis));
      const likely = alike.filter((member) => weight(member) > POSSIBLE * weight(hypothesis));
      return {
        probability: sum(alike) / total,
        hypothesis,
        likely,
        parts: new Set(likely.map(whatIsOpen)),
        what: sum(like) > NAMED * sum(alike) ? whatIsOpen(hypothesis) : null,
        apart: hypothesis.placement.nodeOf.flatMap((node, lead) => (node === null ? [lead] : [])),
      };
    })
    .sort((a, b) => b.probability - a.probability);
}

function whatIsOpen(hypothesis: Hypothesis): OpenPart {
  const broken = breakOf(hypothesis) as Break;
  const { sections } = hypothesis.placement.template.variant;
  if (broken.kind === "section") return sections[broken.section]?.winding ?? "main";
  return broken.kind === "lead" ? "lead" : "joint";
}

/** Somebody said that a capacitor or a switch stands in line with what is open here. */
export function isInLine({ parts }: OpenCase, { sheet }: FindingContext): boolean {
  return sheet.inLine.some((winding) => parts.has(winding));
}

/** That what stands in line reads open too, and proves no break. */
export function inLineFinding({ apart }: OpenCase, context: FindingContext): Finding {
  return {
    code: "open-winding",
    severity: "doubt",
    leads: idsOf(context, apart),
    says: `${capitalised(listed(apart.map((lead) => wordOf(context, lead))))} read open, as they do with a capacitor or an open switch in line: no broken winding yet. Bridge it, or lift it and read the winding by itself.`,
  };
}

/** What reads open, and what may be behind it. */
export function wordsOf({ apart, what }: OpenCase, context: FindingContext): string {
  const { pairs, leadCount } = context.evidence;
  const touched = new Set(pairs.flatMap(({ a, b }) => [a, b]));
  const tried = apart.filter((lead) => touched.has(lead));
  const words = capitalised(listed(tried.map((lead) => wordOf(context, lead))));
  const to = touched.size < leadCount ? "to what was tried" : "to every other lead";
  const read =
    tried.length > 0
      ? `${words} ${tried.length > 1 ? "read" : "reads"} open ${to}`
      : "The leads fall into groups that a sound motor has not";
  switch (what) {
    case "joint":
      return `${read}: the joint inside is open, or a protector in it is hot.`;
    case "lead":
      return `${read}: that lead is broken, or a protector in it is hot and open.`;
    case null:
      return `${read}: a broken winding or lead, or a protector that is hot and open.`;
    default:
      return `${read}: a broken ${what} winding or lead, or a protector that is hot and open.`;
  }
}
