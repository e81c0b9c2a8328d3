import { describe, expect, it } from "vitest";
import { hiddenEnd, isHiddenEnd, readEnd } from "./sectionEnd";

describe("an end of a section", () => {
  it("is the lead that its id says", () => {
    expect(readEnd("l7")).toEqual({ kind: "lead", id: "l7" });
    expect(isHiddenEnd("l7")).toBe(false);
  });

  it("or a junction inside, the same for the same key", () => {
    expect(readEnd(hiddenEnd(2))).toEqual({ kind: "hidden", key: "2" });
    expect(hiddenEnd(2)).toBe(hiddenEnd("2"));
    expect(isHiddenEnd(hiddenEnd("unread-1"))).toBe(true);
  });
});
