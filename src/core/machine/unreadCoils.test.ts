import { describe, expect, it } from "vitest";
import { familyById } from "../motor/families";
import type { Role } from "../motor/role";
import { unreadSections } from "./unreadCoils";

function family(id: string) {
  const found = familyById(id);
  if (!found) throw new Error(id);
  return found;
}

const roles = (of: Record<string, Role>) => new Map(Object.entries(of));

describe("windings that were settled without being read", () => {
  const pairs = roles({
    a: { role: "main" },
    b: { role: "main" },
    c: { role: "start" },
    d: { role: "start" },
  });
  const main = { between: ["a", "b"] as const, ohms: 4, winding: "main" as const };
  const start = { between: ["c", "d"] as const, ohms: 11, winding: "start" as const };

  it("the last pair of two: between its own leads, at what is usual beside the other", () => {
    const [unread, ...more] = unreadSections(family("split-windings"), pairs, [main], 4);
    expect(more).toEqual([]);
    expect([...(unread?.between ?? [])].sort()).toEqual(["c", "d"]);
    expect(unread?.winding).toBe("start");
    expect(unread?.ohms).toBeGreaterThan(main.ohms);
    expect(unread?.ohms).toBeLessThan(10 * main.ohms);
  });

  it("scales with the winding that was read", () => {
    const of = (ohms: number) =>
      unreadSections(family("split-windings"), pairs, [{ ...main, ohms }], 4)[0]?.ohms ?? 0;
    expect(of(8) / of(4)).toBeCloseTo(2, 9);
  });

  it("the main beside a start winding that was read: so much less than it", () => {
    const [unread] = unreadSections(family("split-windings"), pairs, [start], 4);
    expect([...(unread?.between ?? [])].sort()).toEqual(["a", "b"]);
    expect(unread?.ohms).toBeGreaterThan(start.ohms / 10);
    expect(unread?.ohms).toBeLessThan(start.ohms);
  });

  it("none where every winding was read, and none where nothing was: there is nothing to hold them against", () => {
    expect(unreadSections(family("split-windings"), pairs, [main, start], 4)).toEqual([]);
    expect(unreadSections(family("split-windings"), pairs, [], 4)).toEqual([]);
  });

  it("of three phases on leads of their own the two that are left, each on its pair, wound alike", () => {
    const phase = (group: number): Role => ({ role: "phase", group });
    const six = roles({ a: phase(1), b: phase(1), c: phase(2), d: phase(2), e: phase(3), f: phase(3) });
    const read = [{ between: ["a", "b"] as const, ohms: 2, winding: "phase" as const }];
    const unread = unreadSections(family("three-phase-6"), six, read, 6);
    expect(unread.map(({ between }) => [...between].sort().join("")).sort()).toEqual(["cd", "ef"]);
    for (const { ohms } of unread) expect(ohms).toBeCloseTo(2, 1);
  });

  it("roles that no build of the family has are left alone", () => {
    const odd = roles({
      a: { role: "main" },
      b: { role: "main" },
      c: { role: "start" },
      d: { role: "run-end" },
    });
    expect(unreadSections(family("split-windings"), odd, [main], 4)).toEqual([]);
  });
});
