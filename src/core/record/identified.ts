import type { Identification } from "../identify/identification";
import { identify } from "../identify/identify";

/** The identification that a sheet as text asks for; null where it does not hold together, or is none. */
export function identified(question: string): Identification | null {
  const result = question === "" ? null : identify(JSON.parse(question));
  return result?.ok ? result : null;
}
