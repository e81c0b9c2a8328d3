import { familyById } from "../../motor/families";
import { misplacedMarks } from "../hints";
import type { Finding } from "../identification";
import type { Observation } from "../observation";
import { capitalised, listed } from "../reasoning";
import { type FindingContext, idsOf, wordOf } from "./context";

const SEEN_BY: Readonly<Record<Observation["by"], string>> = {
  plate: "by the plate",
  bump: "by a bump",
  "light-run": "by a short run",
  drawing: "by the plate’s drawing",
  mark: "by the numbers on the leads",
};

/** Where the answer goes against what somebody saw, or against the numbers on the leads. */
export function observedFindings(context: FindingContext): Finding[] {
  return [...toldFindings(context), ...markFindings(context)];
}

function toldFindings(context: FindingContext): Finding[] {
  const { sheet, answers } = context;
  const [best] = answers;
  if (!best) return [];
  return sheet.told.flatMap((seen): Finding[] => {
    if ("family" in seen) {
      if (seen.family === best.family.id) return [];
      const told = familyById(seen.family)?.title ?? seen.family;
      return [
        clash(
          [],
          `It was said ${SEEN_BY[seen.by]} to be ${told}, and the ohms are those of ${best.family.title}. Look again at both.`,
        ),
      ];
    }
    const lead = sheet.leads.findIndex(({ id }) => id === seen.lead);
    const is = best.roles[lead];
    if (!is || (is.role === seen.role.role && (seen.role.rank ?? is.rank) === is.rank)) return [];
    const speeds = Math.max(0, ...best.roles.map((role) => role?.rank ?? 0));
    const words = best.family.roleWords(is, speeds);
    return [
      clash(
        [seen.lead],
        `${capitalised(wordOf(context, lead))} comes out as “${words}” by the ohms, and ${SEEN_BY[seen.by]} it is something else. Look again at both.`,
      ),
    ];
  });
}

function clash(leads: readonly string[], says: string): Finding {
  return { code: "told-disagrees", severity: "doubt", leads: [...leads], says };
}

function markFindings(context: FindingContext): Finding[] {
  const best = context.answers[0];
  const hypothesis = best?.members[0];
  if (!best || !hypothesis) return [];
  const wrong = misplacedMarks(best.family, hypothesis.placement, context.sheet.leads);
  if (wrong === null || wrong.length === 0) return [];
  const marks = wrong.map((lead) => `${wordOf(context, lead)} (${context.sheet.leads[lead]?.mark ?? ""})`);
  return [
    {
      code: "mark-disagrees",
      severity: "doubt",
      leads: idsOf(context, wrong),
      says: `${capitalised(listed(marks))}: by the ohms the number does not belong to that winding. The ohms stand; look whether the number is read right.`,
    },
  ];
}
