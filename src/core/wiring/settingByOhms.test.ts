import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { settingByOhms } from "./settingByOhms";

describe("the setting inside, by one reading before it is turned over and one after", () => {
  it.each([
    [0.7, 2.8, { before: "low", now: "high" }],
    [2.8, 0.7, { before: "high", now: "low" }],
    [1.3, 5.0, { before: "low", now: "high" }],
  ])("%d Ω, then %d Ω", (before, after, setting) => {
    expect(settingByOhms(before, after)).toEqual(setting);
  });

  it.each([
    ["the same twice: it was not turned", 0.7, 0.7],
    ["twice as much is no setting", 0.7, 1.4],
    ["ten times as much is another pair", 0.7, 7],
    ["a dead short beside a reading", 0, 2.8],
  ])("%s", (_, before, after) => {
    expect(settingByOhms(before, after)).toBeNull();
  });

  it("two halves of any ohms, with a meter some per cent off, are told; one setting read twice never is", () => {
    const off = fc.double({ min: 0.92, max: 1.08, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: 0.4, max: 40, noNaN: true }),
        off,
        off,
        fc.boolean(),
        (half, a, b, lowFirst) => {
          const [low, high] = [(half / 2) * a, 2 * half * b];
          const told = lowFirst ? settingByOhms(low, high) : settingByOhms(high, low);
          expect(told).toEqual(lowFirst ? { before: "low", now: "high" } : { before: "high", now: "low" });
          expect(settingByOhms(half * a, half * b)).toBeNull();
        },
      ),
    );
  });
});
