import { describe, expect, it } from "vitest";
import { enteredLine } from "./enteredLine";
import type { Target } from "./target";

const names = new Map([
  ["lead1", "WH"],
  ["lead2", "BK"],
]);
const pair: Target = { kind: "pair", between: ["lead1", "lead2"] };
const shell: Target = { kind: "shell", lead: "lead1" };

describe("a line entered at the probe", () => {
  it("is a reading of the place that is lit up, or of the one it names", () => {
    expect(enteredLine("12.4", names, pair)).toEqual({
      kind: "reading",
      body: { kind: "pair-reading", between: ["lead1", "lead2"], typed: "12.4", ohms: 12.4 },
    });
    expect(enteredLine("OL", names, shell)).toEqual({
      kind: "reading",
      body: { kind: "shell-reading", lead: "lead1", typed: "OL", open: true },
    });
    expect(enteredLine("bk wh 1.2k", names, shell)).toEqual({
      kind: "reading",
      body: { kind: "pair-reading", between: ["lead2", "lead1"], typed: "1.2k", ohms: 1200 },
    });
    expect(enteredLine("BK shell OL", names, null)).toEqual({
      kind: "reading",
      body: { kind: "shell-reading", lead: "lead2", typed: "OL", open: true },
    });
  });

  it("is a choice where it names leads alone", () => {
    expect(enteredLine("BK WH", names, null)).toEqual({
      kind: "picked",
      target: { kind: "pair", between: ["lead2", "lead1"] },
    });
    expect(enteredLine("WH shell", names, pair)).toEqual({ kind: "picked", target: shell });
  });

  it("says why it is no reading", () => {
    expect(enteredLine("9.9.9", names, pair)).toMatchObject({ kind: "no-reading" });
    expect(enteredLine("x", names, null)).toMatchObject({ kind: "no-reading" });
    expect(enteredLine("-3", names, pair)).toMatchObject({ kind: "no-reading" });
  });

  it("has no place where none is lit up and too few leads are named", () => {
    expect(enteredLine("12.4", names, null)).toEqual({ kind: "no-place", isNamed: false });
    expect(enteredLine("WH 12.4", names, pair)).toEqual({ kind: "no-place", isNamed: true });
    expect(enteredLine("", names, null)).toEqual({ kind: "no-place", isNamed: false });
  });
});
