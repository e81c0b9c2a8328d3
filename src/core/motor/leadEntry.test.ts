import { describe, expect, it } from "vitest";
import { parseLeadEntry } from "./leadEntry";

describe("a lead as it is typed", () => {
  it.each([
    ["WH", { colour: "white" }],
    ["bn/wh", { colour: "brown", stripe: "white" }],
    ["T4", { mark: "T4" }],
    ["12", { mark: "T12" }],
    ["u2", { mark: "U2" }],
    ["BK:T5", { colour: "black", mark: "T5" }],
    ["wh/bk=t8", { colour: "white", stripe: "black", mark: "T8" }],
  ])("%s", (text, lead) => {
    expect(parseLeadEntry(text)).toEqual(lead);
  });

  it.each(["T13", "T0", "QQ", "BK:QQ", "QQ:T1", "BK:T1:T2", ""])("%j is refused, not guessed", (text) => {
    expect(parseLeadEntry(text)).toBeNull();
  });
});
