import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { inOrder } from "./factOrder";
import type { Fact } from "./facts";

const PHONE = "019a0000-0000-7000-8000-00000000aaaa";
const TABLET = "019a0000-0000-7000-8000-00000000bbbb";

/** A fact of a device; `at` a clock that need not be right. */
function made(n: number, device: string | null, seq: number, at = n): Fact {
  return {
    id: `019a0000-0000-7000-8000-${String(n).padStart(12, "0")}`,
    at: new Date(at * 1000).toISOString(),
    by: "",
    ...(device ? { made: { device, seq } } : {}),
    body: { kind: "title", title: String(n) },
  };
}

const titles = (facts: readonly Fact[]) => facts.map(({ body }) => (body.kind === "title" ? body.title : ""));

describe("the order in which facts count", () => {
  it("is that of arrival, whatever the devices' clocks say", () => {
    const slow = [made(1, PHONE, 5, 9000), made(2, TABLET, 3, 10), made(3, PHONE, 6, 9001)];
    expect(titles(inOrder(slow))).toEqual(["1", "2", "3"]);
  });

  it("puts what one device did in the order done there, when uploads came in another", () => {
    const mixed = [made(2, PHONE, 2), made(9, TABLET, 1), made(1, PHONE, 1)];
    expect(titles(inOrder(mixed))).toEqual(["1", "9", "2"]);
  });

  it("counts what came twice once, and leaves facts of no device where they stood", () => {
    const old = made(7, null, 0);
    expect(titles(inOrder([old, made(2, PHONE, 2), old, made(1, PHONE, 1)]))).toEqual(["7", "1", "2"]);
  });

  it("is the same for one device in whatever order its facts arrive, and however often", () => {
    const all = Array.from({ length: 8 }, (_, i) => made(i, PHONE, i * 10));
    fc.assert(
      fc.property(fc.shuffledSubarray(all, { minLength: all.length }), fc.subarray(all), (order, again) => {
        expect(inOrder([...order, ...again])).toEqual(all);
      }),
    );
  });
});
