import { conventionalRole } from "../../motor/colourHabits";
import type { Finding } from "../identification";
import { capitalised } from "../reasoning";
import { type FindingContext, idsOf, wordOf } from "./context";

/** Leads whose colour says by habit what the ohms deny. The ohms decide; the clash is shown. */
export function colourFindings(context: FindingContext): Finding[] {
  const { sheet, answers } = context;
  const [best] = answers;
  if (!best) return [];
  return sheet.leads.flatMap((lead, i): Finding[] => {
    const role = best.roles[i];
    const habit = conventionalRole(lead);
    if (!role || !habit || habit.roles.includes(role.role)) return [];
    const known = best.roles.some((other) => other && habit.roles.includes(other.role));
    if (!known) return [];
    return [
      {
        code: "colour-disagrees",
        severity: sheet.about.trustColours > 0 ? "doubt" : "note",
        leads: idsOf(context, [i]),
        says: `${capitalised(wordOf(context, i))} is by habit ${habit.words}; the ohms say otherwise, and the ohms decide.`,
      },
    ];
  });
}
