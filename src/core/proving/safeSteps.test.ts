import { describe, expect, it } from "vitest";
import { COMPARTMENTS, compartmentById } from "../wiring";
import { safeSteps } from "./safeSteps";

const of = (id: string) => {
  const made = compartmentById(id);
  if (!made) throw new Error(id);
  return safeSteps(made, "fan");
};

describe("before anything is touched", () => {
  it.each(COMPARTMENTS.map(({ id }) => id))(
    "%s: off, the meter proved, dead, in this order, and every step once",
    (id) => {
      const ids = of(id).map((step) => step.id);
      expect(ids.indexOf("off")).toBeLessThan(ids.indexOf("meter"));
      expect(ids.indexOf("meter")).toBeLessThan(ids.indexOf("dead"));
      expect(new Set(ids).size).toBe(ids.length);
    },
  );

  it("a dual capacitor: C to FAN, C to HERM, HERM to FAN, each with its own seconds", () => {
    const step = of("condenser-dual").find(({ kind }) => kind === "discharge");
    expect(step?.kind === "discharge" && step.touches.map(({ between }) => between)).toEqual([
      "C and FAN",
      "C and HERM",
      "HERM and FAN",
    ]);
    // t = 1.5·R·C·ln(√2·V/10) with 20 kΩ, 35 µF, 440 V: 4.3 s, held for five.
    expect(step?.kind === "discharge" && step.touches[1]?.seconds).toBe(5);
  });

  it("a contactor of one pole names the leg that stays live", () => {
    const says = of("condenser-dual-one-pole").map(({ does }) => does);
    expect(says.some((line) => /stays live/.test(line))).toBe(true);
    expect(of("condenser-dual").some(({ does }) => /stays live/.test(does))).toBe(false);
  });

  it("a control supply is named, and a burner’s fuel", () => {
    const [first] = of("furnace-board");
    expect(first?.because).toMatch(/Fuel/);
  });
});
