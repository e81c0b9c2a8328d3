import "./schemaWords";

/**
 * A user's fault as a value: what was entered, where, and what to do about it. Throws are for our own bugs.
 */
export interface Fault {
  /** Closed vocabulary, for programs. */
  readonly code: string;
  /** Where in the input, outermost first; empty for the input as a whole. */
  readonly path: readonly (string | number)[];
  /** One plain sentence for a person. */
  readonly says: string;
}

/** The refusal of an input, with every fault found in it. */
export interface Refused {
  readonly ok: false;
  readonly faults: readonly Fault[];
}

/** A refusal that holds the faults given; at least one. */
export function refused(...faults: readonly Fault[]): Refused {
  return { ok: false, faults };
}

/** A fault of the input as a whole, or of the place given. */
export function fault(code: string, says: string, path: Fault["path"] = []): Fault {
  return { code, path, says };
}

/** What a schema found wrong, in the part that matters here. */
interface SchemaIssue {
  readonly code?: string | undefined;
  readonly path: readonly PropertyKey[];
  readonly message: string;
  /** Of what is too long: what it is, and how long it may be. */
  readonly origin?: string | undefined;
  readonly maximum?: number | bigint | undefined;
}

/** A schema's issues as faults, in the order found. */
export function faultsOf(issues: readonly SchemaIssue[]): Fault[] {
  return issues.map(({ code = "custom", path, ...issue }) => ({
    code: code === "custom" ? "does-not-hold-together" : code.replaceAll("_", "-"),
    path: path.map((step) => (typeof step === "number" ? step : String(step))),
    says: wordsOf(code, issue),
  }));
}

/** What people meet most is said in plain words; the rest as the schema says it. */
function wordsOf(code: string, { message, origin, maximum }: Omit<SchemaIssue, "code" | "path">): string {
  return code === "too_big" && origin === "string" && maximum !== undefined
    ? `It is longer than the ${maximum} letters that fit there.`
    : message;
}
