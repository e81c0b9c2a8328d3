import { describe, expect, it } from "vitest";
import { StepBudget } from "./stepBudget";

describe("one budget for the searches of a call", () => {
  it("is shared out over those that still come, and what one leaves goes to the next", () => {
    const budget = new StepBudget(120_000);
    expect(budget.share(3).steps).toBe(40_000);
    budget.pay({ steps: 2_000 });
    expect(budget.share(2).steps).toBe(59_000);
  });

  it("spent, leaves each search a little: one that finds nothing says nothing", () => {
    const budget = new StepBudget(5_000);
    budget.pay({ steps: 9_000 });
    expect(budget.share(4).steps).toBeGreaterThan(0);
    expect(budget.share(4).steps).toBe(budget.share(1).steps);
  });
});
