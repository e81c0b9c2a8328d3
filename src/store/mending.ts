import { readFact } from "@/core";

/** What can be done for an entry that was refused. */
export type Mending =
  /** A text that its fault points at is put right; the path is of the fact, outermost first. */
  | { readonly kind: "text"; readonly path: readonly (string | number)[]; readonly text: string }
  /** It holds together: the server refused it, and may take it now. */
  | { readonly kind: "send" }
  | { readonly kind: "none" };

/** How a refused entry can be mended. */
export function mendingOf(fact: unknown): Mending {
  const read = readFact(fact);
  if (read.ok) return { kind: "send" };
  for (const { path } of read.faults) {
    const text = path.reduce<unknown>(
      (value, step) =>
        typeof value === "object" && value !== null ? (value as Record<string, unknown>)[step] : undefined,
      fact,
    );
    if (typeof text === "string" && path[0] === "body" && path[1] !== "kind")
      return { kind: "text", path, text };
  }
  return { kind: "none" };
}

/** The same with another text in that place. */
export function withText(
  value: unknown,
  [step, ...deeper]: readonly (string | number)[],
  text: string,
): unknown {
  if (step === undefined) return text;
  if (Array.isArray(value)) return value.map((one, i) => (i === step ? withText(one, deeper, text) : one));
  const before = value as Record<string, unknown>;
  return { ...before, [step]: withText(before[step], deeper, text) };
}
