import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Fact } from "@/core";
import { confirmFacts, putFact, waitingFacts } from "./outbox";
import { jobsWaiting } from "./outboxKeys";

/** Local storage as a browser has it, with a limit. */
function storage(limit: number): Storage {
  const kept = new Map<string, string>();
  const methods = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      if (value.length > limit) throw new DOMException("full", "QuotaExceededError");
      kept.set(key, value);
    },
    removeItem: (key: string) => kept.delete(key),
  };
  return new Proxy(methods as unknown as Storage, {
    ownKeys: () => [...kept.keys()],
    getOwnPropertyDescriptor: (_, key) =>
      kept.has(String(key))
        ? { enumerable: true, configurable: true, value: kept.get(String(key)) }
        : undefined,
  });
}

const made = (n: number): Fact => ({
  id: `019a0000-0000-7000-8000-${String(n).padStart(12, "0")}`,
  at: "2026-05-05T05:05:05.000Z",
  by: "",
  body: { kind: "title", title: `job ${n}` },
});

beforeEach(() => vi.stubGlobal("localStorage", storage(5000)));

describe("facts waiting in the browser", () => {
  it("stay in order until they are confirmed", () => {
    expect(putFact("j", made(1)) && putFact("j", made(2)) && putFact("j", made(3))).toBe(true);
    confirmFacts("j", new Set([made(1).id, made(3).id]));
    expect(waitingFacts("j")).toEqual([made(2)]);
    expect(jobsWaiting()).toEqual(["j"]);
    confirmFacts("j", new Set([made(2).id]));
    expect(jobsWaiting()).toEqual([]);
  });

  it("of one job are none of another's", () => {
    putFact("j", made(1));
    expect(waitingFacts("k")).toEqual([]);
  });

  it("say so when the browser keeps nothing more", () => {
    vi.stubGlobal("localStorage", storage(50));
    expect(putFact("j", made(1))).toBe(false);
  });

  it("pass over what storage has spoiled, and keep the rest", () => {
    localStorage.setItem("odd-lead:outbox:j", JSON.stringify([{ id: "x" }, made(2)]));
    expect(waitingFacts("j")).toEqual([made(2)]);
    localStorage.setItem("odd-lead:outbox:j", "{broken");
    expect(waitingFacts("j")).toEqual([]);
  });
});
