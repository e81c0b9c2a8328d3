import { type Insulation, parseInsulation } from "./colour";

/** A lead as typed: its insulation, the number or letter on it, or both. */
export interface LeadEntry extends Partial<Insulation> {
  readonly mark?: string;
}

/** Numbers and letters that motors' leads bear: T1 to T12, U1 … W6, Z1, P1. */
const MARK = /^(?:T?([1-9]|1[0-2])|([UVWZP])([1-9]))$/i;

/** Reads one lead: "WH", "wh/bk", "T4", "BK:T5". Null where a part is neither a colour nor a mark known. */
export function parseLeadEntry(text: string): LeadEntry | null {
  const [first = "", second, ...more] = text.trim().split(/[:=]/);
  if (more.length > 0) return null;
  const mark = markOf(second ?? first);
  if (second === undefined) return mark ? { mark } : parseInsulation(first);
  const insulation = parseInsulation(first);
  return insulation && mark ? { ...insulation, mark } : null;
}

function markOf(text: string): string | null {
  const found = MARK.exec(text.trim());
  if (!found) return null;
  return found[1] ? `T${found[1]}` : `${(found[2] ?? "").toUpperCase()}${found[3]}`;
}
