import { v7 as uuid } from "uuid";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Fact } from "@/core";
import { testStorage } from "../../tests/material/storage";
import { isSetBack, learnHistory, noteHistory } from "./history";
import { SafeShelf } from "./openShelf";
import { MemoryShelf } from "./shelf";

const JOB = uuid();
const origin = uuid();
const before = { origin, latest: uuid() };
const fact: Fact = {
  id: uuid(),
  at: "2026-05-05T05:05:05.000Z",
  by: "",
  body: { kind: "title", title: "a" },
};

async function shelfOf(facts: readonly Fact[]) {
  const shelf = new MemoryShelf();
  await shelf.learn(JOB, { facts, after: 0, arrival: facts.length });
  return shelf;
}

beforeEach(() => vi.stubGlobal("localStorage", testStorage()));
afterEach(() => vi.unstubAllGlobals());

describe("the server's history", () => {
  it("met first is noted, and nothing is sent again", async () => {
    const shelf = await shelfOf([fact]);
    expect(isSetBack(before)).toBe(false);
    await learnHistory(shelf, before);
    expect(await shelf.waiting()).toEqual([]);
  });

  it("of a restored backup has everything sent again, once", async () => {
    const shelf = await shelfOf([fact]);
    noteHistory(before);
    const restored = { origin, latest: uuid() };
    expect(isSetBack(restored)).toBe(true);
    await learnHistory(shelf, restored);
    expect((await shelf.waiting()).map(({ id }) => id)).toEqual([fact.id]);
    await shelf.mark(JOB, [fact.id], "sent");
    await learnHistory(shelf, restored);
    expect(await shelf.waiting()).toEqual([]);
  });

  it("of another server, or begun with an empty database, asks for nothing of what was", async () => {
    const shelf = await shelfOf([fact]);
    noteHistory(before);
    await learnHistory(shelf, { origin: uuid(), latest: uuid() });
    expect(await shelf.waiting()).toEqual([]);
  });

  it("is asked for again where the noting was cut off", async () => {
    const shelf = await shelfOf([fact]);
    noteHistory(before);
    const restored = { origin, latest: uuid() };
    vi.spyOn(shelf, "waitAgain").mockRejectedValueOnce(new Error("the browser was killed"));
    expect(await learnHistory(shelf, restored)).toBe(true);
    expect(isSetBack(restored)).toBe(true);
    expect(await shelf.waiting()).toEqual([]);
    await learnHistory(shelf, restored);
    expect(isSetBack(restored)).toBe(false);
    expect((await shelf.waiting()).map(({ id }) => id)).toEqual([fact.id]);
  });

  it("is not noted where the browser’s database did not keep that all waits again", async () => {
    const database = await shelfOf([fact]);
    const shelf = new SafeShelf(database);
    noteHistory(before);
    const restored = { origin, latest: uuid() };
    vi.spyOn(database, "waitAgain").mockRejectedValueOnce(new Error("the disk is full"));
    await learnHistory(shelf, restored);
    expect(isSetBack(restored)).toBe(true);
    await learnHistory(shelf, restored);
    expect((await shelf.waiting()).map(({ id }) => id)).toEqual([fact.id]);
  });
});
