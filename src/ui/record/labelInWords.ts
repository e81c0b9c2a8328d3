import type { LabelContent } from "@/core";

/** A label with what is ours on it in the words that are shown: parts of the leads and where they go. */
export function labelInWords(
  content: LabelContent,
  say: (text: string) => string,
  nameOf: (place: string) => string,
): LabelContent {
  return {
    ...content,
    assumed: say(content.assumed),
    rows: content.rows.map(({ wire, role, to }) => ({ wire, role: say(role), to: nameOf(to) })),
  };
}
