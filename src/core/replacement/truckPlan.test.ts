import { describe, expect, it } from "vitest";
import { readPlate, type TypedPlate } from "../motor/plate";
import { type PastNeed, planTruck, type TruckPart, type TruckPlan } from "./truckPlan";

const plate = (typed: TypedPlate) =>
  readPlate({
    phase: "1",
    hertz: "60",
    speed: "1075",
    shaftDiameter: "1/2",
    mount: "band, studs",
    bodyDiameter: "5-5/8",
    rotation: "REV",
    enclosure: "air-over",
    ambient: "60",
    ...typed,
  }).plate;
const job = (n: number, typed: TypedPlate, microfarads: number | null = null): PastNeed => ({
  job: String(n),
  title: `job ${n}`,
  motor: { old: plate(typed) },
  capacitor: microfarads === null ? null : { microfarads, volts: 370, tolerancePercent: 6 },
});
const motor = (id: string, typed: TypedPlate, cost?: number): TruckPart => ({
  kind: "motor",
  candidate: { id, name: id, plate: plate(typed), count: 0, ...(cost === undefined ? {} : { cost }) },
});
const can = (id: string, microfarads: number, volts: number, cost: number): TruckPart => ({
  kind: "capacitor",
  cost,
  part: { id, name: id, kind: "single", microfarads, volts, count: 0 },
});

function plan(
  needs: readonly PastNeed[],
  parts: readonly TruckPart[],
  share = 1,
  objective: "cost" | "parts" = "cost",
): TruckPlan | null {
  const search = planTruck(needs, parts, share, objective);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

describe("the truck plan", () => {
  const needs = [
    job(1, { power: "1/4", volts: "230" }, 5),
    job(2, { power: "1/3", volts: "230" }, 5),
    job(3, { power: "1/2", volts: "230" }, 7.5),
  ];

  it("takes one universal motor where it is cheaper than three", () => {
    const parts = [
      motor("quarter", { power: "1/4", volts: "230" }, 60),
      motor("third", { power: "1/3", volts: "230" }, 70),
      motor("universal", { power: "1/2, 1/3, 1/4", volts: "208-230" }, 120),
      can("5/440", 5, 440, 6),
      can("7.5/370", 7.5, 370, 7),
      can("7.5/250", 7.5, 250, 1),
    ];
    const made = plan(needs, parts);
    expect(made?.chosen.map(({ name }) => name).sort()).toEqual(["5/440", "7.5/370", "universal"]);
    expect(made).toMatchObject({ needs: 6, covered: 6, exact: true, total: 133, lowerBound: 133 });
    expect(made?.curve.at(-1)?.share).toBe(1);
  });

  it("covers no more than the wanted share asks for", () => {
    const parts = [motor("half", { power: "1/2, 1/3", volts: "230" }, 100), can("5/440", 5, 440, 6)];
    const made = plan(needs, parts, 0.3);
    expect(made?.chosen.map(({ name }) => name)).toEqual(["5/440"]);
    expect(made?.covered).toBe(2);
  });

  it("never counts a motor for a job whose hard rule it breaks, nor a can of lower volts", () => {
    const made = plan(needs, [motor("weak", { power: "1/4", volts: "230" }, 10), can("5/250", 5, 250, 1)]);
    expect(made?.covered).toBe(1);
    expect(made?.outOfReach.length).toBe(5);
  });

  it("does not count a motor that is far too strong: two standard sizes up at most, by its nearest power lead", () => {
    const weak = [job(9, { power: "1/6", volts: "230" })];
    expect(plan(weak, [motor("strong", { power: "3/4", volts: "230" }, 50)])?.covered).toBe(0);
    expect(plan(weak, [motor("many", { power: "3/4, 1/2, 1/5", volts: "230" }, 50)])?.covered).toBe(1);
  });

  it("does not take a part for having no price", () => {
    const parts = [
      motor("priced", { power: "1/2", volts: "230" }, 50),
      motor("unpriced", { power: "1/2", volts: "230" }),
    ];
    expect(plan(needs, parts)?.chosen[0]?.name).toBe("priced");
  });

  it("of nothing needed takes nothing", () => {
    expect(plan([], [motor("any", { power: "1/2", volts: "230" }, 50)])).toMatchObject({
      chosen: [],
      total: 0,
      needs: 0,
    });
  });
});
