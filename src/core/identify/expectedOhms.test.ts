import { describe, expect, it } from "vitest";
import { expectedOhms } from "./expectedOhms";

const section = (a: string, b: string, ohms: number) => ({
  between: [a, b] as [string, string],
  ohms,
  uncertaintyOhms: 0.1,
  winding: "main" as const,
});

const id = {
  sections: [section("a", "b", 10), section("b", "*1", 3), section("*1", "c", 20), section("x", "y", 5)],
  bonded: [["a", "d"]],
};

describe("what an answer expects between two leads", () => {
  it.each([
    ["a", "b", 10],
    ["a", "c", 33],
    ["d", "c", 33],
    ["a", "d", 0],
    ["y", "x", 5],
    ["a", "x", null],
    ["a", "unknown", null],
  ])("%s to %s: %s", (a, b, ohms) => {
    expect(expectedOhms(id, a, b)).toBe(ohms);
  });
});
