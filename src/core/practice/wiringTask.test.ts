import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { checkPlan } from "../wiring/check/check";
import { CAPPED } from "../wiring/place";
import { CONSEQUENCES, type Consequence, gradeWiring, type WiringHandedIn } from "./gradeWiring";
import { WIRING_EQUIPMENT, WIRING_TASKS, type WiringTaskWish, wiringTask } from "./wiringTask";

const seeds = fc.integer({ min: 0, max: 0xffffffff });
const wishes = fc.record({
  task: fc.constantFrom(...WIRING_TASKS),
  equipment: fc.constantFrom("surprise", ...WIRING_EQUIPMENT),
});

function handed(seed: number, wish: WiringTaskWish, more: Partial<WiringHandedIn>): WiringHandedIn {
  return {
    id: "0198c3a0-0000-4000-8000-000000000001",
    person: "Dov Hask",
    seed,
    wish: { task: wish.task, equipment: wish.equipment },
    landings: {},
    jumpers: [],
    wrongLeads: [],
    consequence: null,
    ...more,
  };
}

describe("a wiring task", () => {
  it("is the same of the same seed, its good plan clean, its wrong one a stop", () => {
    fc.assert(
      fc.property(seeds, wishes, (seed, wish) => {
        const task = wiringTask(seed, wish);
        expect(JSON.stringify(wiringTask(seed, wish).good)).toBe(JSON.stringify(task.good));
        if (wish.equipment !== "surprise") expect(task.compartment.id).toBe(wish.equipment);
        expect(checkPlan(task.good, task.run).weight).not.toBe("stop");
        expect(task.wrong === null).toBe(wish.task === "wire-it");
        if (task.wrong) expect(checkPlan(task.wrong.plan, task.run).weight).toBe("stop");
      }),
      { numRuns: 12 },
    );
  });
});

describe("the grade of a wired motor", () => {
  it("is right for the good plan, and wrong with every lead left off", () => {
    fc.assert(
      fc.property(seeds, fc.constantFrom(...WIRING_EQUIPMENT), (seed, equipment) => {
        const wish = { task: "wire-it", equipment } as const;
        const { good } = wiringTask(seed, wish);
        const right = handed(seed, wish, { landings: { ...good.landings }, jumpers: [...good.jumpers] });
        expect(gradeWiring(right).right).toBe(true);
        const grade = gradeWiring(handed(seed, wish, {}));
        expect(grade.right).toBe(false);
        expect(grade.findings.map(({ code }) => code)).toContain("frame-not-grounded");
      }),
      { numRuns: 6 },
    );
  });
});

describe("the grade of a fault looked for", () => {
  it("asks for a wire that was moved and for what comes of it, both", () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const wish = { task: "find-it", equipment: "surprise" } as const;
        const { good, wrong } = wiringTask(seed, wish);
        if (!wrong) throw new Error("nothing to find");
        const moved = Object.keys(good.landings).filter((l) => good.landings[l] !== wrong.plan.landings[l]);
        const still = Object.keys(good.landings).filter((l) => !moved.includes(l));
        const first = gradeWiring(handed(seed, wish, { wrongLeads: moved }));
        const [consequence] = first.found?.consequences ?? [];
        expect(consequence).toBeDefined();
        expect(first.right).toBe(false);
        const answer = (leads: string[], says: Consequence | null) =>
          gradeWiring(handed(seed, wish, { wrongLeads: leads, consequence: says })).right;
        expect(answer(moved, consequence ?? null)).toBe(true);
        expect(answer(moved.slice(0, 1), consequence ?? null)).toBe(true);
        expect(answer(still.slice(0, 1), consequence ?? null)).toBe(false);
        expect(answer([], consequence ?? null)).toBe(false);
        const other = (Object.keys(CONSEQUENCES) as Consequence[]).find(
          (one) => !first.found?.consequences.includes(one),
        );
        if (other) expect(answer(moved, other)).toBe(false);
      }),
      { numRuns: 5 },
    );
  });

  it("shows a wiring whose leads are all somewhere", () => {
    const { wrong } = wiringTask(7, { task: "find-it", equipment: "furnace-board" });
    expect(
      Object.values(wrong?.plan.landings ?? {}).every((place) => place === CAPPED || place.length > 0),
    ).toBe(true);
  });
});
