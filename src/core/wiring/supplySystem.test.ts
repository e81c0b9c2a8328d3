import { describe, expect, it } from "vitest";
import { supplySystem } from "./supplySystem";

describe("208 against 230 volts", () => {
  it.each([
    [214, [124, 123], "wye", 208],
    [214, [107, 107], "split-phase", 230],
    [240, [120, 121], "split-phase", 230],
    [208, [120], "wye", 208],
    [480, [277], "wye", 460],
    [400, [231], "wye", 400],
    [240, [120, 208], "high-leg", 230],
  ] as const)("%d V with %j to the neutral is %s, %d", (lines, legs, kind, system) => {
    expect(supplySystem(lines, legs)).toMatchObject({ kind, system });
  });

  it("by the lines alone it is not told where the ranges overlap, and is where they do not", () => {
    expect(supplySystem(215, [])).toMatchObject({ kind: "unknown", system: null });
    expect(supplySystem(215, []).says).toContain("208 or 230");
    expect(supplySystem(245, []).system).toBe(230);
    expect(supplySystem(195, []).system).toBe(208);
  });

  it("a ratio between the two decides nothing", () => {
    expect(supplySystem(220, [118]).system).toBeNull();
  });
});
