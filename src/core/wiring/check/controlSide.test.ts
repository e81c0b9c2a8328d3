import { describe, expect, it } from "vitest";
import { fan3, plansFor } from "../../../../tests/material/motors";
import { COMPARTMENTS, compartmentById } from "../equipment";
import { CAPPED } from "../place";
import { checkPlan } from "./check";
import { controlSideFindings } from "./controlSide";

const made = compartmentById("electronic-strip");
if (!made) throw new Error("no strip");
const [plan] = plansFor(fan3, made);
if (!plan) throw new Error("no plan");

describe("the 24-V side touches nothing of the line side", () => {
  it.each(COMPARTMENTS.map((one) => [one.title, one] as const))("%s: not as it is made", (_, one) => {
    expect(controlSideFindings({ ...plan, compartment: one, landings: {}, jumpers: [] })).toEqual([]);
  });

  it.each(["relay.NO", "N", "own.1"])("a bridge from the strip to %s is a stop, and names both", (to) => {
    const bridged = { ...plan, jumpers: [...plan.jumpers, { id: "wrong", from: "strip.Y", to }] };
    const found = checkPlan(bridged, fan3).findings.find(({ code }) => code === "control-volts");
    expect(found).toMatchObject({ weight: "stop", places: expect.arrayContaining(["strip.Y"]) });
  });

  it("a bridge of the strip to the ground stud is the transformer's own grounding", () => {
    const grounded = [{ id: "own", from: "strip.C", to: made.offers.ground }];
    expect(controlSideFindings({ ...plan, jumpers: grounded })).toEqual([]);
  });

  it("a lead of the motor on the strip is one too, a capped one is not", () => {
    const [lead = ""] = Object.keys(plan.landings).filter((id) => id !== "frame");
    const on = (place: string) =>
      controlSideFindings({ ...plan, landings: { ...plan.landings, [lead]: place } });
    expect(on("strip.G")).toMatchObject([{ weight: "stop", leads: [lead] }]);
    expect(on(CAPPED)).toEqual([]);
  });
});
