import { describe, expect, it } from "vitest";
import { foldedWords, searchable, searchableParts } from "./searchable";

describe("what a search looks through", () => {
  it("is in lower case, said once, with blanks about every word", () => {
    expect(foldedWords("  Ice   HOUSE\n")).toBe("ice house");
    expect(searchable(["Fan", undefined, "", "Fan", "ice  House"])).toBe(" fan ice house ");
  });

  it("has a word begin where a sign parts one, and keeps numbers whole", () => {
    expect(searchableParts(["BM-77", "45/5 440V"])).toBe(" bm-77 45/5 440v bm 77 45 5 ");
    expect(searchableParts(["Larkhull 7.5"])).toBe(" larkhull 7.5 ");
    expect(searchableParts(["100%_X", "%"])).toBe(" 100%_x % 100 x ");
  });
});
