import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import * as z from "zod/mini";
import { deriveJob } from "../job";
import { emptyDraft } from "../jobDraft";
import { type Fact, fact, readFact } from ".";
import { FACT_KINDS } from "./found";
import { factKind, named } from "./kind";

const kept = (name: string): unknown[] =>
  JSON.parse(readFileSync(new URL(`../../../../tests/fixtures/${name}`, import.meta.url), "utf8"));

const read = (written: unknown): Fact => {
  const result = readFact(written);
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return result.fact;
};

describe("facts of earlier versions", () => {
  it.each(["facts-version-1.json", "outbox-version-1.json"])(
    "%s is read in full and made current",
    (name) => {
      const facts = kept(name).map(read);
      expect(facts.length).toBe(kept(name).length);
      for (const one of facts) expect(fact.safeParse(one).success).toBe(true);
    },
  );

  it("say the same as before: what was told is what is told", () => {
    const facts = kept("outbox-version-1.json").map(read);
    expect(deriveJob(facts).about).toEqual({ capacitor: "run", speeds: 3, trustColours: 0.5 });
  });

  it("of a version that is still to come are refused, not guessed at", () => {
    const [told] = kept("outbox-version-1.json") as { body: object }[];
    expect(readFact({ ...told, body: { kind: "told", v: 3, other: {} } }).ok).toBe(false);
  });

  it("that are none are refused with their faults", () => {
    for (const nonsense of [
      null,
      {},
      { kind: "lead" },
      { body: { kind: "perpetual" } },
      { body: null },
      7,
      "x",
    ]) {
      const result = readFact(nonsense);
      expect(result.ok).toBe(false);
      if (!result.ok) expect(result.faults.length).toBeGreaterThan(0);
    }
  });
});

describe("kinds of fact", () => {
  it("each has a name of its own, and as many upgrades as it has had versions", () => {
    const names = FACT_KINDS.map(({ kind }) => kind);
    expect(new Set(names).size).toBe(names.length);
    for (const { version, upgrades } of FACT_KINDS) expect(upgrades.length).toBe(version - 1);
  });

  it("one is described in one place: form, upgrades and what it does", () => {
    const weather = factKind("weather", {
      schema: z.object({ kind: named("weather"), v: z.literal(2), says: z.string().check(z.maxLength(40)) }),
      upgrades: [({ text, ...body }) => ({ ...body, v: 2, says: text })],
      unmakesReady: true,
      change: (draft, { says }) => {
        draft.title = says;
      },
    });
    const [up] = weather.upgrades;
    const body = weather.schema.parse(up?.({ kind: "weather", text: "rain" }));
    const draft = emptyDraft();
    weather.change(draft, body, { id: "1", at: "2026-11-28T08:00:00Z", by: "" });
    expect([weather.version, draft.title]).toEqual([2, "rain"]);
  });
});
