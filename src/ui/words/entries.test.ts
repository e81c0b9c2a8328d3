import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { ENTRIES } from "./entries";

/** Every file of the pages. */
function files(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory() ? files(join(folder, entry.name)) : [join(folder, entry.name)],
  );
}

describe("the words", () => {
  const ids = ENTRIES.map(({ id }) => id);

  it("have each a place of their own and a sentence", () => {
    expect(new Set(ids).size).toBe(ids.length);
    for (const { says } of ENTRIES) expect(says).toMatch(/\.$/);
  });

  it("are there for every page that links to one", () => {
    const linked = files("src/ui")
      .filter((file) => /WordLinks words=\{WORDS\}/.test(readFileSync(file, "utf8")))
      .flatMap((file) => {
        const [, list = ""] = /const WORDS = \[([\s\S]*?)\] as const/.exec(readFileSync(file, "utf8")) ?? [];
        return [...list.matchAll(/\["([\w-]+)"/g)].map(([, id]) => id);
      });
    expect(linked.length).toBeGreaterThan(6);
    for (const id of linked) expect(ids).toContain(id);
  });

  it("keep the two commons apart, and the other word leads to either", () => {
    const called = ENTRIES.filter(({ also }) => also.some((word) => /\bCOM\b/.test(word)));
    expect(called.map(({ id }) => id)).toEqual(["joint", "shared-lead"]);
  });
});
