import type { LeadName } from "../../motor/lead";
import { formatOhms } from "../../quantity/ohms";
import type { Answer } from "../answers";
import type { Evidence } from "../evidence";
import type { ReadingSheet } from "../sheet";

/** What a finding is drawn from: the sheet, what was made of it, and the answers, best first. */
export interface FindingContext {
  readonly sheet: ReadingSheet;
  readonly evidence: Evidence;
  readonly names: ReadonlyMap<string, LeadName>;
  readonly answers: readonly Answer[];
}

/** The ids of leads given by place in the sheet. */
export function idsOf({ sheet }: Pick<FindingContext, "sheet">, leads: readonly number[]): string[] {
  return leads.map((lead) => sheet.leads[lead]?.id ?? "");
}

/** A lead as a sentence calls it. */
export function wordOf({ sheet, names }: Pick<FindingContext, "sheet" | "names">, lead: number): string {
  const id = sheet.leads[lead]?.id ?? "";
  return names.get(id)?.long ?? id;
}

/** A pair's ohms as a sentence carries them; null is open. */
export function ohmsIn({ sheet }: Pick<FindingContext, "sheet">, ohms: number | null): string {
  return ohms === null ? "open" : formatOhms(ohms, sheet.meter.resolutionOhms);
}
