import { describe, expect, it } from "vitest";
import { takeStream } from "./openStreams";

describe("open meter streams", () => {
  it("are so many for one client, and a place given back twice is one place", () => {
    const given = Array.from({ length: 6 }, () => takeStream("10.0.0.1"));
    expect(given.every((giveBack) => giveBack !== null)).toBe(true);
    expect(takeStream("10.0.0.1")).toBeNull();
    const other = takeStream("10.0.0.2");
    expect(other).not.toBeNull();
    given[0]?.();
    given[0]?.();
    given[0] = takeStream("10.0.0.1");
    expect(given[0]).not.toBeNull();
    expect(takeStream("10.0.0.1")).toBeNull();
    for (const giveBack of [...given, other]) giveBack?.();
  });

  it("are so many for all clients together", () => {
    const taken = Array.from({ length: 60 }, (_, i) => takeStream(`10.0.1.${i}`));
    expect(taken.filter((giveBack) => giveBack !== null)).toHaveLength(48);
    for (const giveBack of taken) giveBack?.();
    const again = takeStream("10.0.1.99");
    expect(again).not.toBeNull();
    again?.();
  });
});
