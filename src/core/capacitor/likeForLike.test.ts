import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type CapacitorLabel, parseCapacitor } from "../quantity/capacitance";
import { likeForLike } from "./likeForLike";
import { plateOverLabel } from "./plateOverLabel";
import type { ShelfCapacitor } from "./shelf";
import { RUN_MICROFARADS } from "./values";

const single = (microfarads: number, volts: number, count = 1): ShelfCapacitor => ({
  id: `${microfarads}/${volts}`,
  name: `${microfarads} µF ${volts} V`,
  kind: "single",
  microfarads,
  volts,
  count,
});
const dual = (herm: number, fan: number, volts: number, count = 1): ShelfCapacitor => ({
  id: `${herm}+${fan}/${volts}`,
  name: `${herm}+${fan} µF ${volts} V`,
  kind: "dual",
  hermMicrofarads: herm,
  fanMicrofarads: fan,
  volts,
  count,
});
const start = (low: number, high: number, volts: number): ShelfCapacitor => ({
  id: `${low}-${high}/${volts}`,
  name: `${low}-${high} µF ${volts} V`,
  kind: "start",
  lowMicrofarads: low,
  highMicrofarads: high,
  volts,
  count: 1,
});
const label = (typed: string): CapacitorLabel => {
  const read = parseCapacitor(typed);
  if (!read.ok) throw new Error(typed);
  return read.label;
};
const SHELF = [
  single(5, 370),
  single(5, 440),
  single(4, 440),
  single(45, 440),
  single(2.5, 440, 2),
  dual(45, 5, 370),
  dual(45, 5, 440),
  dual(40, 5, 440),
  start(88, 108, 250),
  start(88, 108, 330),
  start(108, 130, 330),
];
const ids = (ways: readonly { readonly parts: readonly { readonly id: string }[] }[]) =>
  ways.map(({ parts }) => parts.map(({ id }) => id).join(" "));

describe("labels as they are printed", () => {
  it.each([
    ["45/5 440", { kind: "dual", hermMicrofarads: 45, fanMicrofarads: 5, volts: 440 }],
    ["35+5 MFD 370/440 VAC", { kind: "dual", hermMicrofarads: 35, fanMicrofarads: 5, volts: 440 }],
    ["5uf", { kind: "single", microfarads: 5 }],
    [
      "45+5 uF ±6% 370 VAC 50/60Hz",
      { kind: "dual", hermMicrofarads: 45, fanMicrofarads: 5, volts: 370, tolerancePercent: 6 },
    ],
    ["S0 4µF±5% 450V~ 50/60Hz 10000h", { kind: "single", microfarads: 4, volts: 450, tolerancePercent: 5 }],
    ["25/70/21 P0 8 uF 450 V", { kind: "single", microfarads: 8, volts: 450 }],
    ["88/108 110VAC", { kind: "start", lowMicrofarads: 88, highMicrofarads: 108, volts: 110 }],
    ["161-193 mfd 220-250 VAC", { kind: "start", lowMicrofarads: 161, highMicrofarads: 193, volts: 250 }],
    ["7,5 µF 440", { kind: "single", microfarads: 7.5, volts: 440 }],
  ])("%s", (typed, is) => {
    expect(parseCapacitor(typed)).toEqual({ ok: true, label: is });
  });

  it("what is no label is refused, three values too", () => {
    for (const typed of ["40+5+5 440", "foo", "5 uF 37 V", ""])
      expect(parseCapacitor(typed).ok, typed).toBe(false);
  });
});

describe("the old one's like", () => {
  it("the same value and volts first, higher volts after, made-up ones last", () => {
    const plan = likeForLike(label("5 370"), SHELF, { hertz: 60 });
    expect(plan.use).toBe("Use 5 µF, 370 V or higher.");
    expect(ids(plan.like)).toEqual(["5/370"]);
    expect(ids(plan.better)).toEqual(["5/440"]);
    expect(ids(plan.otherwise)[0]).toBe("2.5/440");
    expect(plan.otherwise[0]?.permanence).toBe("permanent");
    expect(plan.otherwise.some(({ permanence }) => permanence === "stopgap")).toBe(true);
  });

  it("370 V never takes the place of 440 V", () => {
    const plan = likeForLike(label("45/5 440"), SHELF, { hertz: 60 });
    expect(ids(plan.like)).toEqual(["45+5/440"]);
    expect(plan.better).toEqual([]);
    expect(ids(plan.otherwise)).toEqual(["45/440 5/440"]);
  });

  it("a label without volts asks for what serves in any case", () => {
    const plan = likeForLike(label("5uf"), SHELF, { hertz: 60 });
    expect(plan.volts).toBe(440);
    expect(ids(plan.like)).toEqual(["5/440"]);
    expect(plan.notes.join(" ")).toContain("gives no volts");
  });

  it("a start capacitor is replaced by its own band only, its volts read first", () => {
    const plan = likeForLike(label("88-108 250"), SHELF, { hertz: 60 });
    expect(ids(plan.like)).toEqual(["88-108/250"]);
    expect(ids(plan.better)).toEqual(["88-108/330"]);
    const unsaid = likeForLike(label("88-108"), SHELF, { hertz: 60 });
    expect([...unsaid.like, ...unsaid.better]).toEqual([]);
    expect(unsaid.notes.join(" ")).toContain("volts decide");
  });

  it("whatever is on the truck: nothing offered is of lower volts or out of tolerance, and no part is taken twice", () => {
    const parts = fc.array(
      fc.record({
        value: fc.constantFrom(...RUN_MICROFARADS),
        volts: fc.constantFrom(370, 440),
        count: fc.integer({ min: 0, max: 2 }),
      }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(
        parts,
        fc.constantFrom(...RUN_MICROFARADS),
        fc.constantFrom(370, 440),
        (list, value, volts) => {
          const shelf = list.map((one, i) => ({
            ...single(one.value, one.volts, one.count),
            id: `part ${i}`,
          }));
          const plan = likeForLike({ kind: "single", microfarads: value, volts }, shelf, { hertz: 60 });
          for (const { parts: used } of [...plan.like, ...plan.better])
            for (const { id } of used) {
              const part = shelf.find((one) => one.id === id);
              expect(part?.volts).toBeGreaterThanOrEqual(volts);
              expect(part?.kind === "single" && part.microfarads).toBe(value);
            }
          for (const { parts: used } of [...plan.like, ...plan.better, ...plan.otherwise])
            for (const { id, count } of used)
              expect(count).toBeLessThanOrEqual(shelf.find((one) => one.id === id)?.count ?? 0);
        },
      ),
    );
  });
});

describe("plate over label", () => {
  it("a wrong one that somebody fitted before is not repeated", () => {
    const { label: decided, clash } = plateOverLabel(label("7.5 370"), { microfarads: 5, volts: 440 });
    expect(decided).toMatchObject({ kind: "single", microfarads: 5, volts: 440 });
    expect(clash).toContain("The plate decides");
    expect(plateOverLabel(label("45/7.5 440"), { microfarads: 5 }).label).toMatchObject({
      hermMicrofarads: 45,
      fanMicrofarads: 5,
    });
  });

  it("agrees in silence, at the higher of the two volts", () => {
    expect(plateOverLabel(label("5 440"), { microfarads: 5, volts: 370 })).toMatchObject({
      label: { microfarads: 5, volts: 440 },
      clash: "",
    });
    expect(plateOverLabel(label("5 370"), { microfarads: 5, volts: 440 }).clash).not.toBe("");
  });
});
