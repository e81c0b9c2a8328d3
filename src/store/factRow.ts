import type { Fact, FactBody } from "@/core";

/**
 * How a fact stands with the server: still to be sent, sent and confirmed, come back in the server's order, or refused
 * and set aside.
 */
export type FactStanding = "waiting" | "sent" | "kept" | "aside";

/** A fact as this device keeps it. */
export interface FactRow {
  readonly job: string;
  readonly id: string;
  /** As it was made; of a newer version of the page perhaps, which is left as it is. */
  readonly fact: unknown;
  readonly standing: FactStanding;
  /** Its place in the server's order, of what came from there. */
  readonly order?: number;
  /** Why it is set aside, in a sentence. */
  readonly says?: string;
  /** The server had it once and was set back since. */
  readonly again?: boolean;
}

/** What the server told of a job at once: what arrived there after one place and up to another. */
export interface LearnedPage {
  /** In the order of arrival. */
  readonly facts: readonly Fact[];
  readonly after: number;
  readonly arrival: number;
}

/** What this device keeps of a job. */
export interface KeptJob {
  /** What came from the server in its order, then the others as they were made. */
  readonly rows: readonly FactRow[];
  /** The last arrival seen. */
  readonly arrival: number;
}

/** A fact that was not taken, with what it says and why. */
export interface AsideFact {
  readonly id: string;
  readonly kind: string;
  readonly fact: unknown;
  readonly says: string;
}

export function asideFact({ id, fact, says }: FactRow): AsideFact {
  const body =
    typeof fact === "object" && fact !== null && "body" in fact ? (fact.body as Partial<FactBody>) : null;
  return { id, kind: body?.kind ?? "entry", fact, says: says ?? "It was refused." };
}

export function waitingRow(job: string, fact: Fact): FactRow {
  return { job, id: fact.id, fact, standing: "waiting" };
}
