import { APART, type Template } from "./template";

/** Path mask between two placed leads; {@link APART} where either is not placed. */
export function pathBetween(
  template: Template,
  nodeOf: readonly (number | null)[],
  a: number,
  b: number,
): number {
  return template.path[nodeOf[a] ?? -1]?.[nodeOf[b] ?? -1] ?? APART;
}

/** The sections that a path runs through. */
export function sectionsOn(mask: number): number[] {
  const list: number[] = [];
  for (let s = 0; mask >> s > 0; s++) if ((mask >> s) & 1) list.push(s);
  return list;
}
