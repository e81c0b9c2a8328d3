import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Fact, type FactBody, fact } from "./facts";
import { deriveJob } from "./job";

const ITEM = "019a0000-0000-7000-8000-0000000000aa";

/** Facts one after the other, ids in their order. */
function facts(...bodies: readonly FactBody[]): Fact[] {
  return bodies.map((body, i) =>
    fact.parse({
      id: `019a0000-0000-7000-8000-${String(i + 1).padStart(12, "0")}`,
      at: new Date(Date.UTC(2026, 4, 5, 8, i)).toISOString(),
      by: "Petra Quill",
      made: { device: "019a0000-0000-7000-8000-00000000d0d0", seq: i },
      body,
    }),
  );
}
const plate = (motor: "old" | "new", field: "power" | "volts", typed: string): FactBody => ({
  kind: "plate",
  motor,
  field,
  typed,
});
const used = (count: number, item = ITEM): FactBody => ({ kind: "used", item, name: "6 µF 440 V", count });

describe("plates of a job", () => {
  it("keep what was typed, the last of each field; a blank takes it away", () => {
    const job = deriveJob(
      facts(
        plate("old", "power", "1/3"),
        plate("old", "power", "1/4 HP"),
        plate("old", "volts", "230"),
        plate("old", "volts", ""),
      ),
    );
    expect(job.plates.old).toEqual({ power: "1/4 HP" });
    expect(job.plates.new).toEqual({});
  });

  it("of the new motor begin as the chosen one's was then; what is typed since comes on top", () => {
    const chosen: FactBody = {
      kind: "chosen",
      motor: { item: ITEM, name: "LH-630-4", plate: { power: "1/3", volts: "230" } },
    };
    const job = deriveJob(facts(plate("new", "power", "1/6"), chosen, plate("new", "volts", "208-230")));
    expect(job.plates.new).toEqual({ power: "1/3", volts: "208-230" });
    expect(job.chosen?.name).toBe("LH-630-4");
    const none = deriveJob(facts(chosen, { kind: "chosen", motor: null }));
    expect(none.plates.new).toEqual({});
    expect(none.chosen).toBeNull();
  });
});

describe("parts in use", () => {
  it("are the last count of each part; none is given back", () => {
    expect(deriveJob(facts(used(1), used(3))).used).toEqual([{ item: ITEM, name: "6 µF 440 V", count: 3 }]);
    expect(deriveJob(facts(used(2), used(0))).used).toEqual([]);
  });

  it("an undo gives back, a redo takes again, in whatever order the facts arrive", () => {
    const [take, undo, redo] = facts(
      used(1),
      { kind: "undone", fact: "019a0000-0000-7000-8000-000000000001" },
      { kind: "undone", fact: "019a0000-0000-7000-8000-000000000002" },
    ) as [Fact, Fact, Fact];
    expect(deriveJob([take, undo]).used).toEqual([]);
    fc.assert(
      fc.property(fc.shuffledSubarray([take, undo, redo], { minLength: 3 }), (order) => {
        expect(deriveJob(order).used.map(({ count }) => count)).toEqual([1]);
      }),
    );
  });
});

describe("what else a replacement leaves in a job", () => {
  it("the place, the capacitor in place, its tests, and what was ticked off", () => {
    const job = deriveJob(
      facts(
        { kind: "place", place: { supplyVolts: 236, rotation: "ccw-lead-end" } },
        { kind: "capacitor", choice: { present: "35+5 440", school: "keep-one-dual" } },
        {
          kind: "capacitor-test",
          test: { label: "35+5 440", half: "fan", by: { way: "meter", microfarads: 3.9 } },
        },
        { kind: "tick", step: "mounting band", done: true },
        { kind: "tick", step: "mounting weep", done: true },
        { kind: "tick", step: "mounting band", done: false },
      ),
    );
    expect(job.place).toEqual({ supplyVolts: 236, rotation: "ccw-lead-end" });
    expect(job.capacitor).toEqual({ present: "35+5 440", school: "keep-one-dual" });
    expect(job.capacitorTests.map(({ half }) => half)).toEqual(["fan"]);
    expect(job.ticked).toEqual(["mounting weep"]);
  });

  it("is refused at the edge where it does not hold together", () => {
    const bad: unknown[] = [
      { kind: "plate", motor: "old", field: "wings", typed: "2" },
      { kind: "used", item: ITEM, name: "x", count: -1 },
      { kind: "place", place: { supplyVolts: 50_000 } },
      {
        kind: "capacitor-test",
        test: { label: "5", half: "fan", by: { way: "under-load", amps: 0, volts: 1, hertz: 60 } },
      },
      { kind: "chosen", motor: { item: "no id", name: "x", plate: {} } },
    ];
    for (const body of bad)
      expect(fact.safeParse({ id: ITEM, at: "2026-05-05T05:05:05.000Z", by: "", body }).success).toBe(false);
  });
});
