import { describe, expect, it } from "vitest";
import { writtenWays } from "./searchWords";

describe("the ways in which a searched word is written", () => {
  it("a dual capacitor's two figures have a stroke or a plus between them", () => {
    expect(writtenWays("45/5")).toEqual(["45/5", "45+5"]);
    expect(writtenWays("35+7.5")).toEqual(["35/7.5", "35+7.5"]);
  });

  it("a fraction of a horsepower, a range of volts and any other word have one", () => {
    for (const word of ["1/4", "5/5", "208-230", "lh-77/4", "45/", "/5", "45/5/3", "4+5", "larkhull"])
      expect(writtenWays(word)).toEqual([word]);
  });
});
