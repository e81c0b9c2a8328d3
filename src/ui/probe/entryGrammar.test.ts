import { describe, expect, it } from "vitest";
import { readEntry } from "./entryGrammar";

const names = new Map([
  ["a", "WH"],
  ["b", "BK"],
  ["c", "WH/BK"],
  ["d", "BN 1"],
  ["e", "BN 2"],
]);

describe("one line of typing at the probe", () => {
  it.each([
    ["12.4", [], false, "12.4"],
    ["OL", [], false, "OL"],
    ["WH BK 12.4", ["a", "b"], false, "12.4"],
    ["wh-bk 12.4", ["a", "b"], false, "12.4"],
    ["WH/BK WH 0.1", ["c", "a"], false, "0.1"],
    ["BN 1 BN 2 .2", ["d", "e"], false, ".2"],
    ["bn 2 wh", ["e", "a"], false, ""],
    ["BK shell OL", ["b"], true, "OL"],
    ["shell bk 850k", ["b"], true, "850k"],
    ["WHITE 3", [], false, "WHITE 3"],
    ["", [], false, ""],
  ])("reads “%s”", (line, leads, shell, value) => {
    expect(readEntry(line, names)).toEqual({ leads, shell, value });
  });
});
