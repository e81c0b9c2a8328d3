import { describe, expect, it } from "vitest";
import { sheetOfPlan } from "../bench/ledProof";
import { seededRandom } from "../bench/random";
import { goodPlans } from "../bench/wiringAttack";
import { startChains } from "../machine/motorBranches";
import { COMPARTMENTS } from "../wiring/equipment";
import { beliefOf } from "./belief";
import { notYetSeen } from "./mustSee";
import type { ProvingObservation } from "./observation";
import { provingCase } from "./provingCase";
import { provingSheet } from "./provingSheet";
import { sightOf } from "./sight";
import { AS_PLANNED } from "./suspects";

/** A motor of two voltages, its start winding in two rows, on the equipment named. */
function twoVoltages(equipment: string, leads: number) {
  const compartment = COMPARTMENTS.find(({ id }) => id === equipment);
  if (!compartment) throw new Error(equipment);
  const random = seededRandom(4);
  const [attacked] = goodPlans(random, compartment, "dual-voltage-single-phase", leads);
  if (!attacked) throw new Error("no plan");
  const opened = provingCase(provingSheet.parse(sheetOfPlan(attacked, random)));
  if (!opened.ok) throw new Error(JSON.stringify(opened.faults));
  return { made: opened.case, sight: sightOf(opened.case) };
}

describe("what no proof goes without", () => {
  const { made, sight } = twoVoltages("two-speed-switch", 10);
  const call = made.calls[0]?.state.id ?? "";
  const wantedAfter = (observations: ProvingObservation[]) =>
    notYetSeen(made, sight, beliefOf(made, sight, observations), false);
  const rows = startChains(made.motor.coils).map((row) =>
    made.motor.leads
      .filter(({ junction }) => row.some(({ from, to }) => junction === from || junction === to))
      .map(({ id }) => id),
  );

  it("each of two start rows side by side is clamped at power: on one of them it starts as well", () => {
    expect(rows).toHaveLength(2);
    const clamped = wantedAfter([]).flatMap((one) => (one.what === "start-amps" ? [one.lead] : []));
    expect(clamped).toHaveLength(2);
    for (const row of rows) expect(clamped.filter((lead) => row.includes(lead))).toHaveLength(1);
  });

  it("once clamped, on whichever of its leads, a row is not asked of again", () => {
    const peaks = rows.map((row): ProvingObservation => {
      const lead = row.at(-1) ?? "";
      const peak = sight.value(AS_PLANNED, { what: "start-amps", call, lead }) ?? 0;
      return { what: "start-amps", call, lead, peak, seconds: 0.8 };
    });
    expect(wantedAfter(peaks.slice(0, 1)).filter(({ what }) => what === "start-amps")).toHaveLength(1);
    expect(wantedAfter(peaks).filter(({ what }) => what === "start-amps")).toEqual([]);
  });

  it("each of two halves has a lead of its own clamped, though no lead carries the whole line", () => {
    const seven = twoVoltages("two-speed-switch", 7);
    const run = sightOf(seven.made).run(AS_PLANNED, seven.made.calls[0]?.state.id ?? "");
    const halves = seven.made.motor.coils.filter(({ winding }) => winding === "half");
    expect(run).not.toBeNull();
    expect(halves).toHaveLength(2);
    const before = notYetSeen(seven.made, seven.sight, beliefOf(seven.made, seven.sight, []), false);
    const clamped = before.flatMap((one) => (one.what === "line-amps" ? [one.lead] : []));
    for (const { from, to } of halves) {
      const own = seven.made.motor.leads.filter(({ junction }) => junction === from || junction === to);
      expect(own.some(({ id }) => clamped.includes(id))).toBe(true);
    }
  });
});
