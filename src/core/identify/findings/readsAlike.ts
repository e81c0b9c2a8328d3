import { breakOf, logSum } from "../hypotheses";
import type { Finding } from "../identification";
import type { FindingContext } from "./context";

/** A kind of motor at this is said beside leads that are settled. */
const WORTH_SAYING = 0.001;

/**
 * What else reads like the motor that is settled, where it is not next to impossible: another kind, or one broken between
 * its taps. Ohms do not rule these out; the plate does.
 */
export function readsAlike({ answers }: FindingContext): Finding[] {
  const members = answers.flatMap((answer) => answer.members);
  const total = logSum(members.map(({ logWeight }) => logWeight));
  const settled = answers[0]?.family;
  const logs = new Map<string, number[]>();
  for (const member of members) {
    const broken = breakOf(member) !== null;
    if (member.family === settled && !broken) continue;
    const words = broken ? `${member.family.title}, broken` : member.family.title;
    logs.set(words, [...(logs.get(words) ?? []), member.logWeight]);
  }
  const rivals = [...logs]
    .map(([words, weights]) => ({ words, share: Math.exp(logSum(weights) - total) }))
    .filter(({ share }) => share >= WORTH_SAYING)
    .sort((a, b) => b.share - a.share);
  if (rivals.length === 0) return [];
  const each = rivals.map(({ words, share }) => `${words} (about 1 time in ${Math.round(1 / share)})`);
  return [
    {
      code: "reads-alike",
      severity: "note",
      leads: [],
      says: `Not ruled out by ohms: ${each.join("; ")}. The plate’s drawing rules it out.`,
    },
  ];
}
