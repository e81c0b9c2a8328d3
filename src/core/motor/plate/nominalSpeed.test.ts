import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { polesOf, stampedSpeed, synchronousRpm } from "./nominalSpeed";

describe("a stamped speed", () => {
  it.each([
    [3450, 60, 2],
    [1725, 60, 4],
    [1550, 60, 4],
    [1075, 60, 6],
    [825, 60, 8],
    [2850, 50, 2],
    [1420, 50, 4],
    [900, 50, 6],
  ] as const)("%d rpm at %d Hz is usual for %d poles", (rpm, hertz, poles) => {
    expect(stampedSpeed(rpm, hertz)).toEqual({ kind: "usual", poles });
  });

  it.each([
    [3295, 60, { kind: "odd", poles: 2 }],
    [1250, 60, { kind: "odd", poles: 4 }],
    [1200, 60, { kind: "synchronous", poles: 6 }],
    [1500, 50, { kind: "synchronous", poles: 4 }],
    [3605, 60, { kind: "synchronous", poles: 2 }],
    [3700, 60, { kind: "impossible" }],
    [3300, 50, { kind: "impossible" }],
  ] as const)("%d rpm at %d Hz is kept and said to be what it is", (rpm, hertz, stamped) => {
    expect(stampedSpeed(rpm, hertz)).toEqual(stamped);
  });

  // Below that the usual range of twelve poles reaches under the field of fourteen.
  it("belongs to a field that is faster than it, and to no slower one that is", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 515, max: 3580 }),
        fc.constantFrom(50 as const, 60 as const),
        (rpm, hertz) => {
          const stamped = stampedSpeed(rpm, hertz);
          if (stamped.kind === "impossible") return rpm > synchronousRpm(2, hertz);
          const field = synchronousRpm(stamped.poles, hertz);
          const slower = synchronousRpm(stamped.poles + 2, hertz);
          // Rounded plates may stand a little over the field they name.
          return rpm <= field * 1.006 && rpm >= slower * 0.994;
        },
      ),
    );
  });

  it("poles as told come first; a speed far under its field tells none", () => {
    expect(polesOf({ poles: 8, rpm: 1075 })).toBe(8);
    expect(polesOf({ rpm: 1075, hertz: [60] })).toBe(6);
    expect(polesOf({ rpm: 900, hertz: [50] })).toBe(6);
    expect(polesOf({ rpm: 2650, hertz: [60] })).toBeNull();
    expect(polesOf({})).toBeNull();
  });
});
