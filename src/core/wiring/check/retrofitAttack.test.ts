import { describe, expect, it } from "vitest";
import { seededRandom } from "../../bench/random";
import { attackRetrofit, retrofitPlan } from "../../bench/retrofitAttack";
import { COMPARTMENTS } from "../equipment";
import { checkRetrofit } from "./retrofit";

const PLANNED = COMPARTMENTS.flatMap((made) => {
  const plan = retrofitPlan(made);
  return plan ? [[made.title, plan] as const] : [];
});

describe("the check of a retrofit, attacked and held against the second machine", () => {
  it("there is equipment of one call, of two stages, and with its strip beside the board", () => {
    expect(PLANNED.length).toBeGreaterThanOrEqual(4);
  });

  it.each(PLANNED)("%s: the good plan is not stopped, no harmful wiring passes", (_, plan) => {
    expect(checkRetrofit(plan).findings.filter(({ weight }) => weight === "stop")).toEqual([]);
    const attacked = attackRetrofit(seededRandom(4711), plan, 100);
    const harmful = attacked.filter(({ harm }) => harm !== "none");
    expect(harmful.length).toBeGreaterThan(100);
    expect(harmful.filter(({ stopped }) => !stopped)).toEqual([]);
  });

  it.each(PLANNED)("%s: a bridge on the strip calls what nobody called: a stop", (_, plan) => {
    const bridged = { ...plan, jumpers: [...plan.jumpers, { id: "wrong", from: "strip.R", to: "strip.Y" }] };
    const codes = checkRetrofit(bridged)
      .findings.filter(({ weight }) => weight === "stop")
      .map(({ code }) => code);
    expect(codes).toContain("runs-uncalled");
  });
});
