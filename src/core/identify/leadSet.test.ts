import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  common,
  countOf,
  firstLeads,
  firstOf,
  hasLead,
  haveCommon,
  leadSet,
  leadsOf,
  less,
  MOST_LEADS,
  NO_LEADS,
  union,
  withLead,
  withoutFirst,
  withoutLead,
} from "./leadSet";

const lead = fc.nat({ max: MOST_LEADS - 1 });
const some = fc.uniqueArray(lead);
const ascending = (list: Iterable<number>) => [...list].sort((a, b) => a - b);

describe("a set of leads says what a set of the language says", () => {
  it("of one set", () => {
    fc.assert(
      fc.property(some, lead, (list, one) => {
        const set = leadSet(list);
        const model = new Set(list);
        expect(leadsOf(set)).toEqual(ascending(model));
        expect(countOf(set)).toBe(model.size);
        expect(hasLead(set, one)).toBe(model.has(one));
        expect(leadsOf(withLead(set, one))).toEqual(ascending(new Set([...model, one])));
        expect(leadsOf(withoutLead(set, one))).toEqual(
          ascending([...model].filter((other) => other !== one)),
        );
        if (set === NO_LEADS) return;
        expect(firstOf(set)).toBe(Math.min(...list));
        expect(withoutFirst(set)).toBe(withoutLead(set, firstOf(set)));
      }),
    );
  });

  it("of two", () => {
    fc.assert(
      fc.property(some, some, (these, those) => {
        const [one, other] = [leadSet(these), leadSet(those)];
        expect(leadsOf(union(one, other))).toEqual(ascending(new Set([...these, ...those])));
        expect(leadsOf(common(one, other))).toEqual(ascending(these.filter((l) => those.includes(l))));
        expect(leadsOf(less(one, other))).toEqual(ascending(these.filter((l) => !those.includes(l))));
        expect(haveCommon(one, other)).toBe(these.some((l) => those.includes(l)));
        expect(one === other).toBe(String(ascending(these)) === String(ascending(those)));
      }),
    );
  });

  it("the first of a sheet", () => {
    expect(leadsOf(firstLeads(3))).toEqual([0, 1, 2]);
    expect(firstLeads(0)).toBe(NO_LEADS);
  });
});
