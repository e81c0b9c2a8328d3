import { describe, expect, it } from "vitest";
import type { Identification } from "../identify/identification";
import type { Role } from "../motor/role";
import { type LandingWish, planLanding, terminalName } from "./landing";

const TWO_LINES: LandingWish = { supply: "208-230-two-lines", capacitor: "own", speed: 1 };

function settled(family: string, roles: Record<string, Role>, status: Identification["status"] = "settled") {
  const id = { family, roles, status } as Identification;
  return (wish: LandingWish) =>
    planLanding(
      id,
      Object.keys(roles).map((lead) => ({ id: lead })),
      wish,
    );
}

/** The plan as "wire → place" lines. */
function landings(plan: ReturnType<typeof planLanding>): Record<string, string> {
  if (!plan.ok) throw new Error(plan.says);
  return Object.fromEntries(
    plan.steps.map((s) => ["lead" in s.wire ? s.wire.lead : `jumper ${s.wire.jumperFrom}`, s.to]),
  );
}

const blower = settled("two-winding", {
  wh: { role: "run-end" },
  "bn/wh": { role: "run-end" },
  bk: { role: "speed", rank: 1 },
  bu: { role: "speed", rank: 2 },
  rd: { role: "speed", rank: 3 },
  bn: { role: "start-end" },
});

const threeLead = settled("two-winding", {
  ye: { role: "run-end" },
  bk: { role: "speed", rank: 1 },
  bn: { role: "start-end" },
});

describe("landing a capacitor-run motor", () => {
  it("own capacitor: start end and duplicate on it, shared lead back, one tap hot, the rest capped one by one", () => {
    expect(landings(blower({ ...TWO_LINES, speed: 2 }))).toEqual({
      wh: "return",
      "bn/wh": "capacitor-2",
      bn: "capacitor-1",
      bu: "hot",
      bk: "capped",
      rd: "capped",
    });
  });

  it("one dual: start end to FAN, the duplicate lead capped, the compressor's side left alone", () => {
    const plan = blower({ ...TWO_LINES, capacitor: "dual-fan" });
    expect(landings(plan)).toMatchObject({ bn: "fan", "bn/wh": "capped", wh: "return", bk: "hot" });
    expect(plan.ok && plan.cautions.join(" ")).toContain("HERM");
  });

  it("without a duplicate lead a jumper brings the run end's line to the capacitor", () => {
    expect(landings(threeLead(TWO_LINES))).toEqual({
      bn: "capacitor-1",
      ye: "return",
      "jumper return": "capacitor-2",
      bk: "hot",
    });
  });

  it("115 V: the shared lead goes to the neutral, the switched hot to the tap", () => {
    const wish: LandingWish = { supply: "115-neutral", capacitor: "own", speed: 1 };
    expect(landings(threeLead(wish))).toMatchObject({ ye: "return", bk: "hot" });
    expect(terminalName("return", wish)).toContain("neutral");
  });

  it("115 V on a dual capacitor is refused: its C belongs to a compressor on 208–230 V", () => {
    expect(threeLead({ supply: "115-neutral", capacitor: "dual-fan", speed: 1 })).toMatchObject({
      ok: false,
    });
  });

  it.each([1, 2, 3])("speed %d: never two leads on the hot, and the start end never on a line", (speed) => {
    const to = landings(blower({ ...TWO_LINES, speed }));
    expect(Object.values(to).filter((t) => t === "hot")).toHaveLength(1);
    expect(["capacitor-1", "fan"]).toContain(to.bn);
    expect(Object.keys(to)).toHaveLength(6);
  });

  it("a speed the motor does not have is said, not guessed", () => {
    expect(blower({ ...TWO_LINES, speed: 5 })).toMatchObject({ ok: false });
  });
});

describe("landing other motors", () => {
  it("one winding: an end on each line, no capacitor", () => {
    const plan = settled("one-winding", { a: { role: "end" }, b: { role: "end" } });
    expect(landings(plan(TWO_LINES))).toEqual({ a: "return", b: "hot" });
  });

  it("reversible: capacitor across the ends, line on the joint and on one end", () => {
    const plan = settled("two-winding-reversible", {
      j: { role: "common" },
      a: { role: "end" },
      b: { role: "end" },
    });
    expect(landings(plan(TWO_LINES))).toEqual({
      a: "capacitor-1",
      b: "capacitor-2",
      j: "return",
      "jumper capacitor-1": "hot",
    });
    expect(plan({ ...TWO_LINES, capacitor: "dual-fan" }).ok).toBe(false);
  });

  it.each(["needs-probe", "tied", "conflict", "fault"] as const)(
    "nothing is landed while the status is %s",
    (status) => {
      const plan = settled("two-winding", { a: { role: "run-end" } }, status)(TWO_LINES);
      expect(plan).toMatchObject({ ok: false });
    },
  );
});
