import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { judgeMeasured, microfaradsUnderLoad } from "./capacitorTest";
import { type Combination, combinations } from "./combinations";
import { discharge, dischargeSequence, voltsLeft } from "./discharge";
import { estimateRun, quadratureMicrofarads } from "./estimate";
import { planRun, voltsNeeded } from "./runPlan";
import type { ShelfCapacitor } from "./shelf";
import { judgeStart, startsOnShelf, startVoltsFor, typicalStart } from "./start";
import { RUN_MICROFARADS, START_BANDS } from "./values";

const single = (id: string, microfarads: number, volts = 370, count = 1): ShelfCapacitor => ({
  id,
  name: `${microfarads} µF ${volts} V`,
  kind: "single",
  microfarads,
  volts,
  count,
});
const dual = (id: string, herm: number, fan: number, volts = 440, count = 1): ShelfCapacitor => ({
  id,
  name: `${herm}+${fan} µF ${volts} V`,
  kind: "dual",
  hermMicrofarads: herm,
  fanMicrofarads: fan,
  volts,
  count,
});
const start = (id: string, low: number, high: number, volts: number): ShelfCapacitor => ({
  id,
  name: `${low}-${high} µF ${volts} V`,
  kind: "start",
  lowMicrofarads: low,
  highMicrofarads: high,
  volts,
  count: 1,
});
const idsOf = (list: readonly Combination[]) => list.map(({ parts }) => parts.map(({ id }) => id).join("+"));

describe("volts of a run capacitor", () => {
  it("may be higher, never lower: 370 may become 440, 440 may not become 370", () => {
    const need = { microfarads: 5, tolerancePercent: 6 };
    const shelf = [single("low", 5, 370), single("high", 5, 440)];
    expect(
      idsOf(combinations(shelf, { ...need, volts: 370 }))
        .slice(0, 2)
        .sort(),
    ).toEqual(["high", "low"]);
    const for440 = combinations(shelf, { ...need, volts: 440 });
    expect(for440.filter(({ wiring }) => wiring === "one").map(({ parts }) => parts[0]?.id)).toEqual([
      "high",
    ]);
  });

  it("are those of the old one where it was rated higher than the new plate asks", () => {
    expect(
      voltsNeeded({
        newMotor: { microfarads: 5, volts: 370 },
        present: { kind: "single", microfarads: 5, volts: 440 },
        hertz: 60,
      }),
    ).toBe(440);
  });

  it("are the usual least where neither plate nor label gives any, and it is said", () => {
    const plan = planRun({ newMotor: { microfarads: 5 }, present: { kind: "none" }, hertz: 60 }, []);
    expect(plan.need.volts).toBe(370);
    expect(plan.notes.join(" ")).toContain("Neither plate nor old label gives volts");
  });
});

describe("two capacitors made into one value", () => {
  it("side by side add, and the lowest volts rule", () => {
    const made = combinations([single("a", 3, 440), single("b", 2, 370)], {
      microfarads: 5,
      volts: 370,
      tolerancePercent: 6,
    });
    expect(made[0]).toMatchObject({ wiring: "side-by-side", microfarads: 5, permanence: "permanent" });
    expect(
      combinations([single("a", 3, 440), single("b", 2, 370)], {
        microfarads: 5,
        volts: 440,
        tolerancePercent: 6,
      }),
    ).toEqual([]);
  });

  it("in series divide the volts inversely as their values: 10 and 10 make 5, half the volts on each", () => {
    const made = combinations([single("a", 10, 250, 2)], { microfarads: 5, volts: 440, tolerancePercent: 6 });
    expect(made[0]?.wiring).toBe("series");
    expect(made[0]?.parts.map(({ shareVolts }) => shareVolts)).toEqual([220, 220]);
    expect(made[0]?.permanence).toBe("stopgap");
    const unequal = combinations([single("a", 30, 250), single("b", 6, 370)], {
      microfarads: 5,
      volts: 440,
      tolerancePercent: 6,
    });
    expect(unequal[0]?.parts.map(({ shareVolts }) => Math.round(shareVolts)).sort()).toEqual(
      [367, 73].sort(),
    );
  });

  it("a share above a part's rating rules the series out", () => {
    const made = combinations([single("a", 30, 250), single("b", 6, 250)], {
      microfarads: 5,
      volts: 440,
      tolerancePercent: 6,
    });
    expect(made).toEqual([]);
  });

  it("a dual counts as either half, or both side by side; as a single it is a stopgap", () => {
    const shelf = [dual("d", 35, 5)];
    for (const [microfarads, use] of [
      [5, "fan"],
      [35, "herm"],
      [40, "both-halves"],
    ] as const) {
      const [best] = combinations(shelf, { microfarads, volts: 370, tolerancePercent: 5 });
      expect(best?.parts[0]?.use).toBe(use);
      expect(best?.permanence).toBe("stopgap");
      expect(best?.says).toContain("stopgap");
    }
  });

  it("single exact parts come first, then the fewest parts, then the nearest", () => {
    const shelf = [single("five", 5), single("two", 2), single("three", 3), single("four-eight", 4.8)];
    const ids = idsOf(combinations(shelf, { microfarads: 5, volts: 370, tolerancePercent: 6 }));
    expect(ids.slice(0, 3)).toEqual(["five", "four-eight", "two+three"]);
  });

  it("no more of a part are used than there are on the shelf", () => {
    const need = { microfarads: 10, volts: 370, tolerancePercent: 1 };
    expect(combinations([single("a", 5, 370, 1)], need)).toEqual([]);
    expect(idsOf(combinations([single("a", 5, 370, 2)], need))).toEqual(["a+a"]);
    expect(combinations([single("a", 10, 370, 0)], need)).toEqual([]);
    expect(combinations([dual("d", 5, 5, 440, 1)], need).every(({ parts }) => parts.length === 1)).toBe(true);
  });

  it("every combination offered recomputes to within tolerance by the circuit itself, and no part is over its volts", () => {
    const parts = fc.array(
      fc.record({
        value: fc.constantFrom(...RUN_MICROFARADS),
        fan: fc.constantFrom(0, 3, 5, 7.5),
        volts: fc.constantFrom(250, 370, 440),
        count: fc.integer({ min: 0, max: 3 }),
      }),
      { maxLength: 5 },
    );
    fc.assert(
      fc.property(
        parts,
        fc.constantFrom(...RUN_MICROFARADS),
        fc.constantFrom(250, 370, 440),
        fc.constantFrom(5, 6, 10),
        (list, microfarads, volts, tolerancePercent) => {
          const shelf = list.map(({ value, fan, volts: v, count }, i) =>
            fan > 0 ? dual(`p${i}`, value, fan, v, count) : single(`p${i}`, value, v, count),
          );
          for (const made of combinations(shelf, { microfarads, volts, tolerancePercent })) {
            const { whole, shares } = circuit(made, volts);
            expect(Math.abs(whole / microfarads - 1)).toBeLessThanOrEqual(tolerancePercent / 100 + 1e-9);
            expect(made.microfarads).toBeCloseTo(whole, 9);
            made.parts.forEach((part, i) => {
              const label = shelf.find(({ id }) => id === part.id);
              expect(label?.volts).toBeGreaterThanOrEqual((shares[i] ?? Number.NaN) - 1e-6);
              expect(made.parts.filter(({ id }) => id === part.id).length).toBeLessThanOrEqual(
                label?.count ?? 0,
              );
            });
          }
        },
      ),
      { numRuns: 120 },
    );
  });
});

/** The same by nodal analysis of the parts at one frequency: currents through each, not the formulas of the product. */
function circuit({ wiring, parts }: Combination, volts: number): { whole: number; shares: number[] } {
  const [x = 0, y = 0, z = 0] = parts.map(({ microfarads }) => microfarads);
  // One inner node at most; its potential from the balance of charge.
  if (wiring === "one" || wiring === "side-by-side")
    return { whole: x + y + z, shares: parts.map(() => volts) };
  if (wiring === "series" && parts.length === 2) {
    const inner = (volts * x) / (x + y);
    return { whole: (y * inner) / volts, shares: [volts - inner, inner] };
  }
  if (wiring === "series") {
    const charge = volts / (1 / x + 1 / y + 1 / z);
    return { whole: charge / volts, shares: [charge / x, charge / y, charge / z] };
  }
  if (wiring === "pair-then-series") {
    const inner = (volts * (x + y)) / (x + y + z);
    return { whole: (z * inner) / volts, shares: [volts - inner, volts - inner, inner] };
  }
  const inner = (volts * x) / (x + y);
  return { whole: (y * inner) / volts + z, shares: [volts - inner, inner, volts] };
}

describe("a new fan motor where a dual capacitor stands", () => {
  const present = { kind: "dual", hermMicrofarads: 35, fanMicrofarads: 4, volts: 440 } as const;

  it("keeps the compressor's side and changes the FAN figure only: 35+4 becomes 35+6", () => {
    const plan = planRun({ newMotor: { microfarads: 6, volts: 370 }, present, hertz: 60 }, [
      dual("right", 35, 6),
      dual("wrong-herm", 40, 6),
      dual("low", 35, 6, 370),
    ]);
    const keep = plan.schools.find(({ school }) => school === "keep-one-dual");
    expect(keep?.dual).toEqual({ hermMicrofarads: 35, fanMicrofarads: 6, volts: 440 });
    expect(keep?.duals.map(({ id }) => id)).toEqual(["right"]);
  });

  it("offers both schools: one dual, or the motor's own capacitor with FAN left empty", () => {
    const plan = planRun({ newMotor: { microfarads: 6, volts: 370 }, present, hertz: 60 }, [
      single("own", 6, 440),
    ]);
    expect(plan.schools.map(({ school }) => school)).toEqual(["keep-one-dual", "own-capacitor"]);
    expect(plan.schools[1]?.says.join(" ")).toContain("FAN of the dual stays empty");
    expect(idsOf(plan.schools[1]?.combinations ?? [])[0]).toBe("own");
  });

  it("leaves the dual in place where its FAN side is already what the new motor asks for", () => {
    const plan = planRun({ newMotor: { microfarads: 4 }, present, hertz: 60 }, []);
    expect(plan.schools[0]?.dual).toBeUndefined();
    expect(plan.schools[0]?.says[0]).toContain("The dual stays");
  });

  it("speaks of life and safety classes where mains are 50 Hz", () => {
    const plan = planRun(
      { newMotor: { microfarads: 6, volts: 450 }, present: { kind: "none" }, hertz: 50, lifeClass: "B" },
      [],
    );
    expect(plan.notes.join(" ")).toContain("class B of IEC 60252-1 or longer-lived, 10 000 hours");
    expect(plan.notes.join(" ")).toContain("S0 no protection");
    expect(plan.notes.join(" ")).toContain("S3 segmented film");
  });
});

describe("a run capacitor when the plate is gone", () => {
  it("is estimated as a range with its source, and called no rating", () => {
    const guess = estimateRun({ powerWatts: (1 / 3) * 745.7, supplyVolts: 230, hertz: 60 });
    expect(guess).toMatchObject({ lowMicrofarads: 4, highMicrofarads: 7.5 });
    expect(guess?.source).toContain("rule of thumb");
    expect(guess?.says).toContain("not a value to buy");
  });

  it("is not estimated where the rule does not hold", () => {
    expect(estimateRun({ powerWatts: 250, supplyVolts: 115, hertz: 60 })).toBeNull();
    expect(estimateRun({ powerWatts: 250, supplyVolts: 230, hertz: 50 })).toBeNull();
    expect(estimateRun({ powerWatts: 2000, supplyVolts: 230, hertz: 60 })).toBeNull();
    expect(estimateRun({ supplyVolts: 230, hertz: 60 })).toBeNull();
  });

  it("by locked-rotor impedances puts the two currents a quarter period apart", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20, noNaN: true }),
        fc.double({ min: 1, max: 30, noNaN: true }),
        fc.double({ min: 1, max: 40, noNaN: true }),
        fc.double({ min: 1, max: 40, noNaN: true }),
        (rm, xm, ra, xa) => {
          const microfarads = quadratureMicrofarads(
            { ohms: rm, reactanceOhms: xm },
            { ohms: ra, reactanceOhms: xa },
            60,
          );
          const xc = 1e6 / (2 * Math.PI * 60 * (microfarads ?? Number.NaN));
          const apart = Math.atan2(xm, rm) - Math.atan2(xa - xc, ra);
          expect(apart).toBeCloseTo(Math.PI / 2, 6);
        },
      ),
    );
  });
});

describe("start capacitors", () => {
  it("are replaced by the same band, volts equal or higher", () => {
    const old = { lowMicrofarads: 189, highMicrofarads: 227, volts: 165 };
    expect(judgeStart(old, { ...old, volts: 250 }).fits).toBe(true);
    expect(judgeStart(old, { ...old, volts: 125 }).says).toContain("lower than the 165 V");
    expect(judgeStart(old, { lowMicrofarads: 216, highMicrofarads: 259, volts: 250 }).says).toContain(
      "another band",
    );
  });

  it("come off the shelf lowest volts that do first, and never lower", () => {
    const shelf = [
      start("hi", 88, 108, 330),
      start("lo", 88, 108, 125),
      start("mid", 88, 108, 250),
      start("other", 108, 130, 330),
    ];
    expect(
      startsOnShelf({ lowMicrofarads: 88, highMicrofarads: 108, volts: 165 }, shelf).map(({ id }) => id),
    ).toEqual(["mid", "hi"]);
  });

  it("are sold in bands and at volts of their own: the typical range names the bands in it", () => {
    expect(typicalStart(373, 115)?.says).toContain("Bands sold in it: 216–259, 233–280, 270–324");
    for (const [low, high] of START_BANDS) expect(low).toBeLessThan(high);
    expect(startVoltsFor(200)).toBe(220);
    expect(startVoltsFor(400)).toBeNull();
  });

  it("at 230 V are typically a quarter of what they are at 115 V", () => {
    const half = 373;
    expect(typicalStart(half, 115)).toMatchObject({ low: 210, high: 320 });
    expect(typicalStart(half, 230)).toMatchObject({ low: 53, high: 80 });
    expect(typicalStart(half, 400)).toBeNull();
  });
});

describe("testing a capacitor", () => {
  it("under 90 % of its label it is replaced, whatever the tolerance", () => {
    expect(judgeMeasured(8.9, 10, 15).weight).toBe("stop");
    expect(judgeMeasured(9.2, 10, 10).weight).toBe("good");
  });

  it("past its tolerance it is replaced, too high as well as too low", () => {
    expect(judgeMeasured(4.6, 5, 6).weight).toBe("stop");
    expect(judgeMeasured(5.4, 5, 6).weight).toBe("stop");
    expect(judgeMeasured(5.2, 5, 6).weight).toBe("good");
    expect(judgeMeasured(0, 5, 6).says).toContain("open inside");
  });

  it("under load is 2653 amps over volts at 60 Hz, 3183 at 50 Hz", () => {
    expect(microfaradsUnderLoad({ amps: 1, volts: 370, hertz: 60 }).microfarads).toBeCloseTo(2653 / 370, 2);
    expect(microfaradsUnderLoad({ amps: 1, volts: 370, hertz: 50 }).microfarads).toBeCloseTo(3183 / 370, 2);
  });

  it("under load is given with its uncertainty, the clamp's part the greatest", () => {
    const { microfarads, uncertaintyMicrofarads } = microfaradsUnderLoad({
      amps: 0.7,
      volts: 370,
      hertz: 60,
    });
    expect(uncertaintyMicrofarads / microfarads).toBeGreaterThan(0.02);
    const better = microfaradsUnderLoad({ amps: 0.7, volts: 370, hertz: 60, voltsPercent: 0 });
    expect(better.uncertaintyMicrofarads / uncertaintyMicrofarads).toBeGreaterThan(0.9);
    expect(judgeMeasured(4.72, 5, 6, 0.15).weight).toBe("again");
    expect(judgeMeasured(3, 5, 6, 0.15).weight).toBe("stop");
  });
});

describe("discharge", () => {
  it("starts at the peak, √2 times the volts across it, and takes RC·ln(V0/V)", () => {
    const tool = { ohms: 20_000, watts: 5 };
    const { peakVolts, joules, secondsToSafe, firstWatts } = discharge(40, 370, tool);
    expect(peakVolts).toBeCloseTo(523.26, 1);
    expect(joules).toBeCloseTo(0.5 * 40e-6 * peakVolts ** 2, 9);
    expect(voltsLeft(40, peakVolts, tool.ohms, secondsToSafe)).toBeCloseTo(10, 6);
    expect(firstWatts).toBeCloseTo(peakVolts ** 2 / 20_000, 9);
  });

  it("of a dual goes C to HERM, C to FAN, then HERM to FAN", () => {
    const steps = dischargeSequence({ kind: "dual", hermMicrofarads: 35, fanMicrofarads: 5 }, 370, 20_000);
    expect(steps.map(({ between }) => between)).toEqual(["C and HERM", "C and FAN", "HERM and FAN"]);
    for (const { seconds, microfarads } of steps)
      expect(voltsLeft(microfarads, 370 * Math.SQRT2, 20_000, seconds)).toBeLessThan(10);
  });

  it("warns of a resistor that is too small for its watts, and of one that takes too long", () => {
    expect(discharge(40, 370, { ohms: 100, watts: 5 }).warnings[0]).toContain("too much");
    expect(discharge(400, 330, { ohms: 100_000, watts: 5 }).warnings[0]).toContain("long to hold");
    expect(discharge(40, 370, { ohms: 20_000, watts: 5 }).warnings).toEqual([]);
  });
});
