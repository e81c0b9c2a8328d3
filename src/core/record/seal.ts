import { CORE_VERSION } from "../version";
import { canonicalJson, digestOf } from "./digest";
import { inOrder } from "./factOrder";
import type { Fact, FactBody } from "./facts";

/** A record of more facts than this is not sealed. */
export const MOST_SEALED = 5000;

export type SealBody = Extract<FactBody, { kind: "sealed" }>;

/** How the last seal of a record stands. */
export type SealState =
  | { readonly kind: "none" }
  | {
      readonly kind: "holds" | "broken" | "other-version";
      readonly at: string;
      readonly by: string;
      readonly version: string;
      /** Facts that it is over. */
      readonly facts: number;
      /** Facts that came after it: new entries, which the seal says nothing of. */
      readonly later: number;
    };

/** The seal over all facts that a record has now: their ids in order and the hash of what they say. */
export function sealOf(facts: readonly Fact[]): SealBody | null {
  const ordered = inOrder(facts);
  if (ordered.length === 0 || ordered.length > MOST_SEALED) return null;
  return {
    kind: "sealed",
    hash: hashOf(ordered),
    over: ordered.map(({ id }) => id),
    version: CORE_VERSION,
  };
}

/**
 * Whether what the last seal is over is still as it was. A seal of another version of the core whose facts read otherwise
 * is told apart from a broken one: what that version wrote may be brought up to this one since.
 */
export function sealState(facts: readonly Fact[]): SealState {
  const ordered = inOrder(facts);
  const last = ordered.findLast(({ body }) => body.kind === "sealed");
  if (last?.body.kind !== "sealed") return { kind: "none" };
  const { hash, over, version } = last.body;
  const known = new Map(ordered.map((fact) => [fact.id, fact]));
  const sealed = over.flatMap((id) => known.get(id) ?? []);
  const whole = sealed.length === over.length && hashOf(sealed) === hash;
  const under = new Set([...over, last.id]);
  return {
    kind: whole ? "holds" : version === CORE_VERSION ? "broken" : "other-version",
    at: last.at,
    by: last.by,
    version,
    facts: over.length,
    later: ordered.filter(({ id }) => !under.has(id)).length,
  };
}

function hashOf(facts: readonly Fact[]): string {
  // A moment is the same however its time is written.
  return digestOf(canonicalJson(facts.map((fact) => ({ ...fact, at: new Date(fact.at).toISOString() }))));
}
