import { describe, expect, it } from "vitest";
import { type FactBody, readFact } from "@/core";
import { makeFact } from "./making";
import { mendingOf, withText } from "./mending";

const made = (body: object) => makeFact(body as FactBody, "Ilo Brandt");

describe("a refused entry", () => {
  it("names the text that is at fault, and holds together with that put right", () => {
    const long = made({ kind: "title", title: "x".repeat(300) });
    const found = mendingOf(long);
    expect(found).toEqual({ kind: "text", path: ["body", "title"], text: "x".repeat(300) });
    const mended = withText(long, ["body", "title"], "Attic fan");
    expect(readFact(mended).ok).toBe(true);
    expect(mended).toEqual({ ...long, body: { kind: "title", title: "Attic fan" } });
    expect(long.body).toEqual({ kind: "title", title: "x".repeat(300) });
  });

  it("names a text within a list", () => {
    const line = { between: ["a", "y".repeat(200)], ohms: 8 };
    const list = made({ kind: "reference", reference: { lines: [line] } });
    expect(mendingOf(list)).toMatchObject({
      kind: "text",
      path: ["body", "reference", "lines", 0, "between", 1],
    });
    expect(JSON.stringify(withText({ a: [1, ["b"]] }, ["a", 1, 0], "c"))).toBe('{"a":[1,["c"]]}');
  });

  it("that holds together can be sent again; one whose fault is no text can only be let go", () => {
    expect(mendingOf(made({ kind: "title", title: "Attic" }))).toEqual({ kind: "send" });
    for (const body of [{ kind: "title", title: 9 }, { kind: "of a later version" }])
      expect(mendingOf(made(body))).toEqual({ kind: "none" });
    expect(mendingOf(null)).toEqual({ kind: "none" });
  });
});
