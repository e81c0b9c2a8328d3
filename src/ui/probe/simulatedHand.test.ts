import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { OhmsShown } from "@/core";
import { type HeldProbes, moveProbes } from "./simulatedHand";

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const PAIR = JSON.stringify({ between: ["a", "b"] });

/** A hand at a meter whose display shows these on the pair, one at each look, over a line that takes its time. */
function handAt(onPair: readonly (OhmsShown | null)[], lineMs = 50) {
  const moves: string[] = [];
  let looks = 0;
  const shows = () => {
    if (moves.at(-1) !== "on") return { open: true } as const;
    const shown = onPair[Math.min(looks, onPair.length - 1)] ?? null;
    looks += 1;
    return shown;
  };
  const put = async (probes: HeldProbes) => {
    await new Promise((resolve) => setTimeout(resolve, lineMs));
    moves.push("lifted" in probes ? "up" : "tips" in probes ? "sign" : "on");
  };
  return { moves, end: moveProbes(PAIR, true, { put, shows }) };
}

it("goes there at once where no hand is wanted", async () => {
  const put = vi.fn(async () => undefined);
  moveProbes(PAIR, false, { put, shows: () => null });
  await vi.advanceTimersByTimeAsync(20_000);
  expect(put).toHaveBeenCalledExactlyOnceWith({ between: ["a", "b"] });
});

it("signs where the display shows open, however slow the line, and lifts before and after", async () => {
  for (const lineMs of [5, 3000]) {
    const { moves, end } = handAt([{ open: true }], lineMs);
    await vi.advanceTimersByTimeAsync(lineMs * 5 + 8000);
    expect(moves.slice(0, 5)).toEqual(["up", "on", "up", "sign", "up"]);
    end();
    await vi.runAllTimersAsync();
  }
});

it("never signs where the display showed a winding or nothing yet, and tries again until it is ended", async () => {
  for (const shown of [[{ open: true }, { open: true }, { ohms: 12.4 }], [null]] as const) {
    const { moves, end } = handAt(shown);
    await vi.advanceTimersByTimeAsync(40_000);
    expect(moves).not.toContain("sign");
    expect(moves.filter((move) => move === "on").length).toBeGreaterThan(2);
    end();
    await vi.runAllTimersAsync();
    const then = moves.length;
    await vi.advanceTimersByTimeAsync(20_000);
    expect(moves).toHaveLength(then);
  }
});
