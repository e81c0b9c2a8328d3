import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { CORE_VERSION } from "../version";
import type { Fact, FactBody } from "./facts";
import { sealOf, sealState } from "./seal";

let count = 0;
function made(body: FactBody, by = "Maren Osk"): Fact {
  count += 1;
  return {
    id: `019c6adf-2698-7f89-84a8-${count.toString(16).padStart(12, "0")}`,
    at: "2026-03-03T03:03:03.000Z",
    by,
    body,
  };
}
const title = (text: string) => made({ kind: "title", title: text });

function sealed(facts: readonly Fact[]): Fact[] {
  const seal = sealOf(facts);
  if (!seal) throw new Error("not sealed");
  return [...facts, made(seal)];
}

describe("a sealed record", () => {
  it("holds as it is, with whatever comes later counted apart", () => {
    fc.assert(
      fc.property(
        fc.array(fc.string({ maxLength: 40 }), { minLength: 1, maxLength: 30 }),
        fc.nat(5),
        (titles, more) => {
          const facts = sealed(titles.map((text) => title(text.trim())));
          const later = Array.from({ length: more }, () => title("later"));
          expect(sealState([...facts, ...later])).toMatchObject({
            kind: "holds",
            facts: titles.length,
            later: more,
            version: CORE_VERSION,
            by: "Maren Osk",
          });
        },
      ),
    );
  });

  it("is told to be changed: another word, name, time or order of meaning, or a fact gone", () => {
    const facts = sealed([title("Dryer"), title("Dryer 2"), title("Dryer 3")]);
    const changes: ((fact: Fact) => Fact | null)[] = [
      (fact) => ({ ...fact, body: { kind: "title", title: "Washer" } }),
      (fact) => ({ ...fact, by: "Somebody" }),
      (fact) => ({ ...fact, at: "2026-03-03T03:03:04.000Z" }),
      (fact) => ({ ...fact, made: { device: fact.id, seq: 1 } }),
      () => null,
    ];
    for (const change of changes)
      for (let at = 0; at < 3; at++) {
        const tampered = facts.flatMap((fact, i) => (i === at ? (change(fact) ?? []) : fact));
        expect(sealState(tampered).kind).toBe("broken");
      }
  });

  it("holds however the same moment is written", () => {
    const facts = sealed([title("Dryer")]);
    const written = facts.map((fact) => ({ ...fact, at: fact.at.replace(".000Z", "Z") }));
    expect(sealState(written).kind).toBe("holds");
  });

  it("is not called broken where another version sealed it: it cannot be told", () => {
    const facts = sealed([title("Dryer")]).map((fact) =>
      fact.body.kind === "sealed"
        ? { ...fact, body: { ...fact.body, version: "0.0.9", hash: "0".repeat(64) } }
        : fact,
    );
    expect(sealState(facts).kind).toBe("other-version");
  });

  it("can be sealed again over all that came, and the last seal counts", () => {
    const once = sealed([title("Dryer")]);
    const twice = sealed([...once, title("Dryer 2")]);
    expect(sealState(twice)).toMatchObject({ kind: "holds", facts: 3, later: 0 });
  });

  it("is none where nobody sealed it, and nothing is no record", () => {
    expect(sealState([title("Dryer")])).toEqual({ kind: "none" });
    expect(sealOf([])).toBeNull();
  });
});
