import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { dualVoltage, threePhase6, threePhase9Delta, threePhase9Wye } from "../../../tests/material/motors";
import { boardAsSet, netsOfSetting, voltageChange } from "./motorBoard";
import { settingOhms } from "./settingOhms";
import { type BoardPlace, HELD, type Move, voltageMoves } from "./voltageMoves";

/** Carries moves out, checking each: the wire is where it is said to be, and its new place has room. */
function carriedOut(now: Record<string, string>, moves: readonly Move[], board: readonly BoardPlace[]) {
  const at = new Map(Object.entries(now));
  for (const { wire, from, to } of moves) {
    expect(at.get(wire) ?? HELD).toBe(from);
    at.delete(wire);
    if (to === HELD) continue;
    const here = [...at.values()].filter((place) => place === to).length;
    expect(here).toBeLessThan(board.find(({ id }) => id === to)?.places ?? 0);
    at.set(wire, to);
  }
  return at;
}

/** The fewest moves, found another way: every way of giving places to nets. */
function fewest(
  now: Record<string, string>,
  wanted: readonly string[][],
  board: readonly BoardPlace[],
): number | null {
  let best: number | null = null;
  const walk = (net: number, taken: string[], cost: number): void => {
    if (net === wanted.length) {
      best = best === null ? cost : Math.min(best, cost);
      return;
    }
    for (const { id, places } of board) {
      const wires = wanted[net] ?? [];
      if (taken.includes(id) || wires.length > places) continue;
      walk(net + 1, [...taken, id], cost + wires.filter((wire) => now[wire] !== id).length);
    }
  };
  walk(0, [], 0);
  return best;
}

describe("the shortest list of moves", () => {
  it("brings every net together, never too many ends on a place, and no move more than needed but holds", () => {
    const arbitrary = fc.record({
      places: fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 3, maxLength: 7 }),
      nets: fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 3, maxLength: 7 }),
      room: fc.integer({ min: 2, max: 4 }),
    });
    fc.assert(
      fc.property(arbitrary, ({ places, nets, room }) => {
        const wires = places.slice(0, nets.length).map((_, i) => `w${i}`);
        const board = [0, 1, 2, 3, 4].map((n) => ({ id: `p${n}`, places: room }));
        const now = Object.fromEntries(wires.map((wire, i) => [wire, `p${places[i]}`]));
        fc.pre(board.every(({ id }) => Object.values(now).filter((p) => p === id).length <= room));
        const wanted = [0, 1, 2, 3]
          .map((n) => wires.filter((_, i) => nets[i] === n))
          .filter((net) => net.length > 0);
        const moves = voltageMoves(now, wanted, board);
        const least = fewest(now, wanted, board);
        expect(moves === null).toBe(least === null);
        if (!moves) return;
        const after = carriedOut(now, moves, board);
        for (const net of wanted) expect(new Set(net.map((wire) => after.get(wire))).size).toBe(1);
        const holds = moves.filter(({ to }) => to === HELD).length;
        expect(moves.length - holds).toBe(least);
      }),
      { numRuns: 300 },
    );
  });

  it("nothing to do is no move", () => {
    expect(
      voltageMoves(
        { a: "A", b: "B" },
        [["a"], ["b"]],
        [
          { id: "A", places: 2 },
          { id: "B", places: 2 },
        ],
      ),
    ).toEqual([]);
  });
});

describe("a motor's own board", () => {
  it.each([
    ["dual voltage, single phase", dualVoltage, 4],
    ["nine-lead wye", threePhase9Wye, 4],
    ["nine-lead delta", threePhase9Delta, 4],
    ["six leads, delta and wye", threePhase6, 3],
  ])("%s: line to line the high setting reads %# its share of the low one", (_, { motor }, ratio) => {
    const [low, high] = [settingOhms(motor, "low"), settingOhms(motor, "high")];
    expect((high ?? 0) / (low ?? 1)).toBeCloseTo(ratio, 9);
  });

  it("from low to high: three moves, and the proof by one reading", () => {
    const now = boardAsSet(netsOfSetting(dualVoltage.motor, "low") ?? []);
    const change = voltageChange(dualVoltage.motor, now, "high");
    // T1 and T8 or T3 and T8 leave line 1, T2 leaves line 2.
    expect(change?.moves).toHaveLength(3);
    expect(change?.proof?.highOhms).toBeCloseTo(2.6, 9);
    expect(change?.proof?.lowOhms).toBeCloseTo(0.65, 9);
  });

  it("set as wanted already: no move", () => {
    const now = boardAsSet(netsOfSetting(threePhase9Wye.motor, "high") ?? []);
    expect(voltageChange(threePhase9Wye.motor, now, "high")?.moves).toEqual([]);
  });
});
