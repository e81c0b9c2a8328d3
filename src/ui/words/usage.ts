/** Where a browser keeps whose words it shows; a cookie, so that the page comes in them. */
export const USAGE_COOKIE = "odd-lead-words";

/** English of elsewhere: a browser that asks for it first gets its words without a setting. */
const ELSEWHERE = /^\s*en-(?:GB|AU|NZ|IE|ZA|IN|SG|HK)\b/i;

/** The usage of a page: as the browser keeps it, else as its language says, else North American. */
export function usageOf(kept: string | undefined, languages: string | null) {
  if (kept === "international" || kept === "north-american") return kept;
  return ELSEWHERE.test(languages ?? "") ? "international" : "north-american";
}
