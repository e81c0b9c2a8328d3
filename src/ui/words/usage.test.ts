import { describe, expect, it } from "vitest";
import { usageOf } from "./usage";

describe("whose words a page uses", () => {
  it("those that were set, whatever the browser's language", () => {
    expect(usageOf("international", "en-US,en;q=0.9")).toBe("international");
    expect(usageOf("north-american", "en-GB")).toBe("north-american");
  });

  it("else those of the language that is asked for first", () => {
    expect(usageOf(undefined, "en-GB,en-US;q=0.8")).toBe("international");
    expect(usageOf(undefined, "en-US,en-GB;q=0.8")).toBe("north-american");
    expect(usageOf(undefined, null)).toBe("north-american");
  });

  it("what a cookie holds that is none of ours sets nothing", () => {
    expect(usageOf("<script>", "en-AU")).toBe("international");
  });
});
