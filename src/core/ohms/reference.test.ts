import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cableOhmsEachWay } from "./cable";
import { comparableMegohms, judgeInsulation, megohmsAt40C } from "./insulation";
import { compareWithReference, type MeasuredOhms, type ReferenceOhms } from "./reference";
import { ohmsAtTemperature, temperatureOfOhms } from "./windingTemperature";

const REFERENCE: ReferenceOhms[] = [
  { between: ["C", "R"], ohms: 4.2 },
  { between: ["C", "S"], ohms: 11.6 },
  { between: ["R", "S"], ohms: 15.8 },
];
const read = (cr: number | null, cs: number | null, rs: number | null): MeasuredOhms[] =>
  [cr, cs, rs].map((ohms, i) => ({
    between: REFERENCE[i]?.between ?? ["C", "R"],
    ohms,
    sigmaOhms: 0.02,
  }));

describe("against the plate's ohms", () => {
  it("all within the tolerance is good", () => {
    expect(compareWithReference(REFERENCE, read(4.3, 11.4, 15.7)).overall).toBe("good");
  });

  it("a hot motor against a cold table is good once the temperature is told, and high before", () => {
    const hot = read(4.2 * 1.15, 11.6 * 1.15, 15.8 * 1.15);
    expect(compareWithReference(REFERENCE, hot).overall).toBe("poor-joint");
    const told = compareWithReference(REFERENCE, hot, { referenceC: 25, windingC: 64 });
    expect(told.overall).toBe("good");
    expect(told.lines[0]?.expectedOhms).toBeCloseTo(4.83, 1);
  });

  it("all low or one low is shorted turns or a wrong reference", () => {
    expect(compareWithReference(REFERENCE, read(4.2, 9.8, 14.0)).overall).toBe("shorted");
    expect(compareWithReference(REFERENCE, read(3.7, 10.1, 13.9)).overall).toBe("shorted");
  });

  it("one high is a poor joint, open is broken", () => {
    expect(compareWithReference(REFERENCE, read(6.0, 11.6, 17.6)).overall).toBe("poor-joint");
    const open = compareWithReference(REFERENCE, read(4.2, null, null));
    expect(open.overall).toBe("open");
    expect(open.lines.map((line) => line.verdict)).toEqual(["within", "open", "open"]);
  });

  it("some high and some low that fit in another order are leads mixed up, and says which", () => {
    // Run and start exchanged at the splice: what is called R is S.
    const mixed = compareWithReference(REFERENCE, read(11.6, 4.2, 15.8));
    expect(mixed.overall).toBe("mixed-up");
    expect(mixed.swapped).toEqual({ C: "C", R: "S", S: "R" });
    expect(mixed.says).toContain("R is where S should be");
  });

  it("finds any mixing of the leads of a motor whose windings are unlike", () => {
    const leads = ["C", "R", "S", "T"];
    const at = [0, 4.2, 15.8, 22.9];
    const ohms = (a: number, b: number) => Math.abs((at[a] ?? 0) - (at[b] ?? 0));
    const pairs = [0, 1, 2, 3].flatMap((a) => [0, 1, 2, 3].filter((b) => b > a).map((b) => [a, b] as const));
    const reference = pairs.map(
      ([a, b]): ReferenceOhms => ({ between: [leads[a] ?? "", leads[b] ?? ""], ohms: ohms(a, b) }),
    );
    fc.assert(
      fc.property(fc.shuffledSubarray([0, 1, 2, 3], { minLength: 4 }), (order) => {
        const measured = pairs.map(
          ([a, b]): MeasuredOhms => ({
            between: [leads[a] ?? "", leads[b] ?? ""],
            ohms: ohms(order[a] ?? 0, order[b] ?? 0),
            sigmaOhms: 0.01,
          }),
        );
        const { overall, swapped } = compareWithReference(reference, measured);
        if (order.every((to, from) => to === from)) expect(overall).toBe("good");
        else
          expect(overall === "mixed-up" ? Object.values(swapped) : []).toEqual(order.map((to) => leads[to]));
      }),
    );
  });

  it("with nothing read says so", () => {
    expect(compareWithReference(REFERENCE, []).overall).toBe("nothing-read");
  });
});

describe("temperature and cable", () => {
  it("forty degrees are fifteen per cent in copper", () => {
    expect(ohmsAtTemperature(10, 25, 65) / 10).toBeCloseTo(1.154, 3);
    expect(ohmsAtTemperature(10, 25, 65, "aluminium") / 10).toBeCloseTo(1.16, 3);
  });

  it("the winding's temperature comes back from its ohms", () => {
    fc.assert(
      fc.property(fc.double({ min: -40, max: 200, noNaN: true }), (windingC) => {
        expect(temperatureOfOhms(ohmsAtTemperature(7, 20, windingC), 7, 20)).toBeCloseTo(windingC, 6);
      }),
    );
  });

  it("200 ft of 12 AWG are 0.32 Ω each way, 60 m of 4 mm² 0.26 Ω", () => {
    expect(cableOhmsEachWay({ gauge: 12, lengthFeet: 200 })).toBeCloseTo(0.3176, 4);
    expect(cableOhmsEachWay({ areaMm2: 4, lengthMetres: 60 })).toBeCloseTo(0.2586, 4);
    expect(cableOhmsEachWay({ gauge: 12, lengthFeet: 200 }, 60)).toBeGreaterThan(0.36);
  });
});

describe("the insulation test at 500 V", () => {
  it.each([
    [0.4, "stop"],
    [0.99, "stop"],
    [1, "again"],
    [4.9, "again"],
    [5, "good"],
    [500, "good"],
  ] as const)("%d MΩ at 40 °C: %s", (megohms, weight) => {
    expect(judgeInsulation(megohms, 40).weight).toBe(weight);
  });

  it("halves for each 10 °C: 16 MΩ read at 20 °C are 4 MΩ at 40 °C, and doubtful", () => {
    expect(megohmsAt40C(16, 20)).toBeCloseTo(4, 9);
    expect(judgeInsulation(16, 20).weight).toBe("again");
    expect(judgeInsulation(3, 60).weight).toBe("good");
  });

  it("in a well says that the cable is in the reading", () => {
    expect(judgeInsulation(0.1, 15, true).says).toContain("cable");
    for (const [read, weight] of [
      [25, "good"],
      [19, "good"],
      [0.5, "good"],
      [0.49, "again"],
      [0.02, "again"],
      [0.019, "stop"],
    ] as const)
      for (const windingC of [5, 40]) expect(judgeInsulation(read, windingC, true).weight).toBe(weight);
    expect(comparableMegohms({ megohms: 3, windingC: 10, inWell: true })).toBe(3);
    expect(comparableMegohms({ megohms: 16, windingC: 20, inWell: false })).toBeCloseTo(4, 9);
  });
});
