import { type FactBody, type OhmsShown, parseOhms } from "@/core";
import { readEntry } from "./entryGrammar";
import type { Target } from "./target";

/** What a line comes to that is entered at the probe. */
export type EnteredLine =
  /** Leads alone: they are to be touched next. */
  | { readonly kind: "picked"; readonly target: Target }
  | { readonly kind: "reading"; readonly body: FactBody }
  | { readonly kind: "no-reading"; readonly says: string }
  /** A value, or nothing, and no place for it. */
  | { readonly kind: "no-place"; readonly isNamed: boolean };

/**
 * @param names of the leads, by their id.
 * @param aimed where a value goes that names no leads.
 */
export function enteredLine(
  line: string,
  names: ReadonlyMap<string, string>,
  aimed: Target | null,
): EnteredLine {
  const { leads, shell, value } = readEntry(line, names);
  const isNamed = leads.length > 0;
  const target = isNamed || shell ? targetOf(leads, shell) : aimed;
  if (target && value === "" && isNamed) return { kind: "picked", target };
  const parsed = parseOhms(value);
  if (!parsed.ok && (target || value !== ""))
    return { kind: "no-reading", says: parsed.faults[0]?.says ?? "That is not a reading." };
  if (!target || !parsed.ok) return { kind: "no-place", isNamed };
  return { kind: "reading", body: readingAt(target, parsed.typed, parsed.shown) };
}

/** A reading of a pair or to the shell. */
export function readingAt(target: Target, typed: string, shown: OhmsShown): FactBody {
  const value = "open" in shown ? ({ typed, open: true } as const) : { typed, ohms: shown.ohms };
  return target.kind === "pair"
    ? { kind: "pair-reading", between: [target.between[0], target.between[1]], ...value }
    : { kind: "shell-reading", lead: target.lead, ...value };
}

function targetOf(leads: readonly string[], shell: boolean): Target | null {
  const [a, b] = leads;
  if (shell) return a ? { kind: "shell", lead: a } : null;
  return a && b ? { kind: "pair", between: [a, b] } : null;
}
