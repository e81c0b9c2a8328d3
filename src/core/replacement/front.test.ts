import fc from "fast-check";
import { expect, it } from "vitest";
import { Front } from "./front";

it("the front of a list is what comes first of it in order, and its last what no later entry need beat", () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 20 })), fc.nat(8), (list, most) => {
      const order = (a: number, b: number) => (list[a] as number) - (list[b] as number) || a - b;
      const front = new Front(most, order);
      list.forEach((_, place) => {
        front.add(place);
        const sorted = [...list.slice(0, place + 1).keys()].sort(order);
        expect(front.inOrder()).toEqual(sorted.slice(0, most));
        expect(front.last).toBe(sorted.length < most ? undefined : sorted[most - 1]);
      });
    }),
  );
});

it("a front without an end is the whole list in order", () => {
  const front = new Front(Number.POSITIVE_INFINITY, (a, b) => b - a);
  for (const entry of [2, 0, 1]) front.add(entry);
  expect(front.inOrder()).toEqual([2, 1, 0]);
  expect(front.last).toBeUndefined();
});
