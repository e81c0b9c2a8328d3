import type { Identification } from "@/core";

/** What the probes are to touch for the next entry. */
export type Target =
  | { readonly kind: "pair"; readonly between: readonly [string, string] }
  | { readonly kind: "shell"; readonly lead: string };

/** The target that the identification asks for; null when it asks for none. */
export function askedTarget(answer: Identification | null): Target | null {
  const probe = answer?.nextProbe;
  if (!probe) return null;
  return probe.kind === "pair"
    ? { kind: "pair", between: probe.between }
    : { kind: "shell", lead: probe.lead };
}

/** Whether two targets touch the same places. */
export function sameTarget(a: Target | null, b: Target | null): boolean {
  if (!a || !b || a.kind !== b.kind) return false;
  if (a.kind === "shell") return b.kind === "shell" && a.lead === b.lead;
  return b.kind === "pair" && a.between.every((lead) => b.between.includes(lead));
}

/** Every pair of leads, in the order of the sheet. */
export function allPairs(leads: readonly { id: string }[]): Target[] {
  return leads.flatMap((a, i) =>
    leads.slice(i + 1).map((b): Target => ({ kind: "pair", between: [a.id, b.id] })),
  );
}
