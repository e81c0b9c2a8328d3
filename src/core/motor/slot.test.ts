import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FAMILIES } from "./families";
import { slotOfMark } from "./marks";
import { boardNumber, hiddenSlot, isTap, readSlot, tapRank, tapSlot } from "./slot";

describe("a slot", () => {
  it("of a speed gives its rank back, and is nothing else", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), (rank) => {
        expect(tapRank(tapSlot(rank))).toBe(rank);
        expect(boardNumber(tapSlot(rank))).toBeNull();
      }),
    );
  });

  it("of a terminal board is its number; the protector’s leads are none of the board’s", () => {
    expect(boardNumber(slotOfMark("T12") ?? "")).toBe(12);
    expect(readSlot("P2")).toEqual({ kind: "protector", number: 2 });
    expect(boardNumber("P2")).toBeNull();
  });

  it("that is not brought out goes by the slots about it, in whatever order they are named", () => {
    const between = hiddenSlot(["start-end", "run-end", tapSlot(2)]);
    expect(between).toBe(hiddenSlot([tapSlot(2), "start-end", "run-end"]));
    expect(readSlot(between)).toEqual({ kind: "hidden", neighbours: ["run-end", "speed-2", "start-end"] });
    expect(isTap(between)).toBe(false);
  });

  it("of every family is a number, a tap or a part that has a name of its own", () => {
    for (const { feeding } of FAMILIES) {
      const sets = [
        { role: "speed" as const, rank: 2 },
        { role: "run-end" as const },
        { role: "start-end" as const },
        { role: "common" as const },
        { role: "start" as const },
      ].flatMap((role) => feeding?.slotSets(role, 2) ?? []);
      for (const slot of sets.flat()) {
        const read = readSlot(slot);
        if (read.kind === "part") expect(read.name).toMatch(/^[a-z]+(-[a-z0-9]+)*$/);
        if (read.kind === "tap") expect(isTap(slot)).toBe(true);
      }
    }
  });
});
