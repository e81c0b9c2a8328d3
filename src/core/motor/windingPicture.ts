import type { Point } from "../quantity/point";
import { connectedGroups } from "./connectedGroups";
import { isHiddenEnd } from "./sectionEnd";

/** A winding section to draw: its ends by name (a lead id, or "*1" for a hidden junction) and its ohms. */
export interface PictureSection {
  readonly between: readonly [string, string];
  readonly ohms: number;
  readonly uncertaintyOhms: number;
  readonly winding: string;
}

/** Geometry of a winding picture, in grid units: x to the right, y down; one unit is one section's length. */
export interface WindingPicture {
  readonly width: number;
  readonly height: number;
  readonly coils: readonly (PictureSection & { readonly from: Point; readonly to: Point })[];
  readonly junctions: readonly {
    readonly at: Point;
    readonly leads: readonly string[];
    readonly name: string;
  }[];
}

/**
 * Lays out winding sections as a technician sketches them: each group's longest run of sections along a line, what
 * branches off hanging below it, separate groups one under the other. Sections must form a forest.
 *
 * @param bonded leads that are one conductor, drawn at one junction.
 */
export function windingPicture(
  sections: readonly PictureSection[],
  bonded: readonly (readonly string[])[],
): WindingPicture {
  const places = new Map<string, Point>();
  let top = 0;
  for (const group of groupsOf(sections)) {
    const spine = longestRun(group);
    const depth = hang(spine, group, places, top);
    top += depth + 1;
  }
  const at = (name: string) => places.get(name) ?? { x: 0, y: 0 };
  const names = [...places.keys()];
  return {
    width: Math.max(0, ...names.map((name) => at(name).x)),
    height: Math.max(0, ...names.map((name) => at(name).y)),
    coils: sections.map((section) => ({
      ...section,
      from: at(section.between[0]),
      to: at(section.between[1]),
    })),
    junctions: names.map((name) => ({
      at: at(name),
      name,
      leads: isHiddenEnd(name) ? [] : (bonded.find((group) => group.includes(name)) ?? [name]),
    })),
  };
}

function groupsOf(sections: readonly PictureSection[]): PictureSection[][] {
  const names = [...new Set(sections.flatMap(({ between }) => between))];
  const links = sections.map(({ between: [from, to] }) => ({
    from: names.indexOf(from),
    to: names.indexOf(to),
  }));
  const group = connectedGroups(names.length, links);
  return [...new Set(group)].map((g) => sections.filter((_, s) => group[links[s]?.from ?? -1] === g));
}

function neighbours(name: string, group: readonly PictureSection[]): string[] {
  return group.flatMap(({ between: [a, b] }) => (a === name ? [b] : b === name ? [a] : []));
}

/** The path with the most sections between two ends of a group; with equal count, the more ohms. */
function longestRun(group: readonly PictureSection[]): string[] {
  const names = [...new Set(group.flatMap((s) => s.between))];
  const ohms = (path: readonly string[]) =>
    path.slice(1).reduce((sum, name, i) => {
      const section = group.find((s) => s.between.includes(name) && s.between.includes(path[i] ?? ""));
      return sum + (section?.ohms ?? 0);
    }, 0);
  let best: string[] = [];
  const walk = (path: string[]) => {
    const onward = neighbours(path.at(-1) ?? "", group).filter((name) => !path.includes(name));
    for (const name of onward) walk([...path, name]);
    if (onward.length > 0) return;
    if (path.length > best.length || (path.length === best.length && ohms(path) > ohms(best))) best = path;
  };
  for (const name of names) walk([name]);
  return best;
}

/** Sets the spine along the row `top` and its branches below; gives how many rows were used beyond the first. */
function hang(
  spine: readonly string[],
  group: readonly PictureSection[],
  places: Map<string, Point>,
  top: number,
): number {
  spine.forEach((name, x) => {
    places.set(name, { x, y: top });
  });
  let depth = 0;
  const drop = (name: string, x: number, y: number) => {
    places.set(name, { x, y });
    depth = Math.max(depth, y - top);
    neighbours(name, group)
      .filter((next) => !places.has(next))
      .forEach((next, k) => {
        drop(next, x + k, y + 1);
      });
  };
  spine.forEach((name, x) => {
    neighbours(name, group)
      .filter((next) => !places.has(next))
      .forEach((next, k) => {
        drop(next, x + k * 0.5, top + 1);
      });
  });
  return depth;
}
