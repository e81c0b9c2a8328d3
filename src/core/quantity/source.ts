/** Where a figure or a fact comes from. A verdict stands on no more than its weakest source. */
export type Source =
  /** By a meter, or seen by an eye that looked for it. */
  | { readonly kind: "measured" }
  /** Read on the motor's plate or a part's label. */
  | { readonly kind: "plate" }
  /** A person said so. */
  | { readonly kind: "told" }
  /** Worked out from the others, by which rule. */
  | { readonly kind: "computed"; readonly rule: string }
  /** Nobody stated it: what is usual was taken, and why that. */
  | { readonly kind: "assumed"; readonly because: string };

export const MEASURED: Source = { kind: "measured" };
export const PLATED: Source = { kind: "plate" };
export const TOLD: Source = { kind: "told" };

export function assumed(because: string): Source {
  return { kind: "assumed", because };
}

export function computed(rule: string): Source {
  return { kind: "computed", rule };
}

/** The source in a word or two, as it stands beside a figure. */
export function sourceWords(source: Source): string {
  switch (source.kind) {
    case "measured":
      return "measured";
    case "plate":
      return "plate";
    case "told":
      return "told";
    case "computed":
      return `figured: ${source.rule}`;
    case "assumed":
      return `assumed: ${source.because}`;
  }
}
