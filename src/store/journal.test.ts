import { readFileSync } from "node:fs";
import { join } from "node:path";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Fact } from "@/core";
import { testStorage } from "../../tests/material/storage";
import { cleared, leftBehind, takeOut, writeDown } from "./journal";

const made = (n: number): Fact => ({
  id: `019a0000-0000-7000-8000-${String(n).padStart(12, "0")}`,
  at: "2026-05-05T05:05:05.000Z",
  by: "",
  body: { kind: "title", title: `job ${n}` },
});

beforeEach(() => vi.stubGlobal("localStorage", testStorage()));

describe("facts written down before the database has them", () => {
  it("are found again by the next page, in order, until they are taken out", () => {
    writeDown("j", made(2));
    writeDown("j", made(1));
    writeDown("k", made(3));
    expect(leftBehind().rows.map(({ job, fact }) => [job, fact])).toEqual([
      ["j", made(1)],
      ["j", made(2)],
      ["k", made(3)],
    ]);
    takeOut("j", made(1).id);
    cleared(leftBehind().keys);
    expect(leftBehind()).toEqual({ rows: [], keys: [] });
  });

  it("stay where they are when a newer version wrote them", () => {
    const key = `odd-lead:entry:j:${made(1).id}`;
    const newer = JSON.stringify({ ...made(1), body: { kind: "proof-of-tomorrow" } });
    localStorage.setItem(key, newer);
    expect(leftBehind()).toEqual({ rows: [], keys: [] });
    expect(localStorage.getItem(key)).toBe(newer);
  });

  it("cost nothing where storage is full or refused, and it is told that they were not written", () => {
    expect(writeDown("j", made(1))).toBe(true);
    vi.stubGlobal("localStorage", testStorage(10));
    expect(writeDown("j", made(1))).toBe(false);
    vi.stubGlobal("localStorage", undefined);
    expect(writeDown("j", made(1))).toBe(false);
    expect(leftBehind().rows).toEqual([]);
  });
});

describe("what versions before the database left", () => {
  it("is sent: every fact of a list as it was kept then", () => {
    const kept = readFileSync(join(__dirname, "../../tests/fixtures/outbox-version-1.json"), "utf8");
    localStorage.setItem("odd-lead:outbox:j", kept);
    const { rows, keys } = leftBehind();
    expect(rows).toHaveLength((JSON.parse(kept) as unknown[]).length);
    expect(new Set(rows.map(({ standing }) => standing))).toEqual(new Set(["waiting"]));
    expect(keys).toEqual(["odd-lead:outbox:j"]);
  });

  it("is set aside where it was spoiled, and left where it is no JSON at all", () => {
    localStorage.setItem("odd-lead:outbox:j", JSON.stringify([{ id: "x" }, made(2)]));
    localStorage.setItem("odd-lead:outbox:k", "{broken");
    const { rows, keys } = leftBehind();
    expect(rows.map(({ standing }) => standing).sort()).toEqual(["aside", "waiting"]);
    expect(keys).toEqual(["odd-lead:outbox:j"]);
  });
});
