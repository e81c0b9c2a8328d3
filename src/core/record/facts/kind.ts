import * as z from "zod/mini";
import type { JobDraft } from "../jobDraft";

/** Who made a fact and when, beside what it says. */
export interface FactMeta {
  readonly id: string;
  readonly at: string;
  readonly by: string;
}

/** A body as it was written by some version. */
export type OlderBody = Readonly<Record<string, unknown>>;

/** A kind of fact: all there is to know of it. */
export interface FactKind<N extends string, S extends z.ZodMiniType> {
  readonly kind: N;
  /** Of the body as it is written now. Bodies of version 1 carry no number; later ones carry theirs as `v`. */
  readonly version: number;
  readonly schema: S;
  /** The steps from each earlier version to the next, the first from version 1. */
  readonly upgrades: readonly ((older: OlderBody) => OlderBody)[];
  /** A plan marked ready is no longer after it. */
  readonly unmakesReady: boolean;
  /** What it changes of the job; the draft is changed in place. */
  readonly change: (draft: JobDraft, body: z.output<S>, meta: FactMeta) => void;
}

/** The parts of a kind that are left out where they are as usual. */
interface Described<N extends string, S extends z.ZodMiniType> {
  readonly schema: S;
  readonly upgrades?: FactKind<N, S>["upgrades"];
  readonly unmakesReady?: boolean;
  readonly change: FactKind<N, S>["change"];
}

/** Describes a kind of fact; its version follows from the upgrades. */
export function factKind<N extends string, S extends z.ZodMiniType<{ kind: N }>>(
  kind: N,
  { schema, upgrades = [], unmakesReady = false, change }: Described<N, S>,
): FactKind<N, S> {
  return { kind, version: upgrades.length + 1, schema, upgrades, unmakesReady, change };
}

/** The literal that a kind is told by. */
export function named<N extends string>(kind: N) {
  return z.literal(kind);
}

/** The number that bodies of a later version carry. */
export function versioned<V extends number>(version: V) {
  return z.literal(version);
}
