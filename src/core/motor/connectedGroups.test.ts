import fc from "fast-check";
import { expect, it } from "vitest";
import { connectedGroups } from "./connectedGroups";

const PLACES = 9;
const place = fc.nat({ max: PLACES - 1 });

it("two places share a group just where a walk along the links leads from one to the other", () => {
  fc.assert(
    fc.property(fc.array(fc.record({ from: place, to: place }), { maxLength: 12 }), (links) => {
      const group = connectedGroups(PLACES, links);
      const reached = (start: number): Set<number> => {
        const seen = new Set([start]);
        for (const at of seen)
          for (const { from, to } of links) {
            if (from === at) seen.add(to);
            if (to === at) seen.add(from);
          }
        return seen;
      };
      for (let one = 0; one < PLACES; one++)
        for (let other = 0; other < PLACES; other++)
          expect(group[one] === group[other]).toBe(reached(one).has(other));
    }),
  );
});

it("numbers groups in the order in which they first appear", () => {
  expect(connectedGroups(4, [{ from: 3, to: 1 }])).toEqual([0, 1, 2, 1]);
  expect(connectedGroups(0, [])).toEqual([]);
});
