import { brokenSection } from "../hypotheses";
import type { Finding } from "../identification";
import { capitalised, listed } from "../reasoning";
import { type FindingContext, idsOf, wordOf } from "./context";

/** A fault is declared when sound explanations together are this unlikely. */
const FAULT_SURE = 0.9;

/** Minutes that a hot protector is given to close before the motor is read again. */
export const COOLING_MINUTES = 30;

/** What stands in line with a start winding reads open too, and is no broken winding. */
function inLineWords(winding: string, { sheet }: FindingContext): string {
  const { capacitor } = sheet.about;
  if (winding !== "start" || capacitor === "none" || capacitor === "run") return "";
  return " A start capacitor or an open start switch in line reads open too, or climbs: bridge it, or lift it and read the winding by itself.";
}

/** The chance that the motor is broken, and where, when no sound motor explains the opens. */
export function openFindings(context: FindingContext): Finding[] {
  const members = context.answers.flatMap((answer) => answer.members);
  const best = members.reduce((a, b) => (b.logWeight > a.logWeight ? b : a));
  const weight = (h: (typeof members)[number]) => Math.exp(h.logWeight - best.logWeight);
  const total = members.reduce((sum, h) => sum + weight(h), 0);
  const broken = members.reduce((sum, h) => sum + (brokenSection(h) === null ? 0 : weight(h)), 0);
  const section = brokenSection(best);
  if (section === null || broken / total < FAULT_SURE) return [];
  const { template, nodeOf } = best.placement;
  const apart = nodeOf.flatMap((node, lead) => (node === null ? [lead] : []));
  const roles = context.answers[0]?.roles ?? [];
  const common = apart.some((lead) => roles[lead]?.role !== "start-end" && roles[lead]?.role !== "start");
  const winding = template.variant.sections[section]?.winding ?? "main";
  const words = listed(apart.map((lead) => wordOf(context, lead)));
  const what =
    apart.length > 0
      ? `${capitalised(words)} ${apart.length > 1 ? "read" : "reads"} open to every other lead: a broken ${winding} winding or lead, or a protector that is hot and open.`
      : `The ${winding} winding is open between the two groups of leads.`;
  return [
    {
      code: common && apart.length === 1 ? "open-common" : "open-winding",
      severity: "fault",
      leads: idsOf(context, apart),
      says: `${what}${inLineWords(winding, context)} Let the motor cool for ${COOLING_MINUTES} minutes and read again before condemning it.`,
    },
  ];
}
