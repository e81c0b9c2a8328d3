import { describe, expect, it } from "vitest";
import { WorkBudget } from "./workBudget";

describe("one budget for the searches of a call", () => {
  it("is shared out over those that still come, and what one leaves goes to the next", () => {
    const budget = new WorkBudget(600_000);
    expect(budget.share(3).steps).toBe(40_000);
    budget.pay({ work: 10_000 });
    expect(budget.share(2).steps).toBe(59_000);
  });

  it("all but spent, leaves the next search a little: one that finds nothing says nothing", () => {
    const budget = new WorkBudget(5_000);
    budget.pay({ work: 4_000 });
    expect(budget.spent).toBe(false);
    expect(budget.share(4).steps).toBeGreaterThan(1_000);
  });

  it("is spent by what was paid, and then says so", () => {
    const budget = new WorkBudget(5_000);
    budget.pay({ work: 5_000 });
    expect(budget.spent).toBe(true);
    expect(budget.rest).toBe(0);
  });
});
