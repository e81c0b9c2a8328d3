import fc from "fast-check";
import { Matrix, solve } from "ml-matrix";
import { describe, expect, it } from "vitest";
import { softBox } from "../motor/softBox";
import { type FitRow, type FitSection, fitSections, logErrorDensity, roughFit } from "./fit";

const WIDE: FitSection = { ratioTo: null, box: softBox(0.1, 1000, 0.5) };

describe("fitting section ohms to readings", () => {
  it("agrees with plain weighted least squares where readings decide", () => {
    const rows: FitRow[] = [
      { mask: 0b1, ohms: 12.1, sigmaOhms: 0.16 },
      { mask: 0b10, ohms: 5.3, sigmaOhms: 0.13 },
      { mask: 0b11, ohms: 17.2, sigmaOhms: 0.19 },
      { mask: 0b110, ohms: 33.4, sigmaOhms: 0.27 },
      { mask: 0b111, ohms: 45.7, sigmaOhms: 0.33 },
    ];
    const plain = solve(
      new Matrix(rows.map((r) => [0, 1, 2].map((s) => ((r.mask >> s) & 1 ? 1 / r.sigmaOhms : 0)))),
      Matrix.columnVector(rows.map((r) => r.ohms / r.sigmaOhms)),
    ).to1DArray();
    const fit = fitSections([WIDE, WIDE, WIDE], rows);
    fit.ohms.forEach((ohms, s) => {
      expect(ohms).toBeCloseTo(plain[s] ?? Number.NaN, 1);
    });
  });

  it("never gives a section negative ohms, however the readings contradict", () => {
    const fit = fitSections(
      [WIDE, WIDE],
      [
        { mask: 0b1, ohms: 20, sigmaOhms: 0.1 },
        { mask: 0b11, ohms: 15, sigmaOhms: 0.1 },
      ],
    );
    for (const ohms of fit.ohms) expect(ohms).toBeGreaterThan(0);
    expect(Math.max(...fit.residualSigmas.map(Math.abs))).toBeGreaterThan(5);
  });

  it("has the evidence of a direct integral over one section", () => {
    const box = softBox(1, 100, 0.5);
    const rows: FitRow[] = [
      { mask: 0b1, ohms: 20.3, sigmaOhms: 0.4 },
      { mask: 0b1, ohms: 19.8, sigmaOhms: 0.4 },
    ];
    let integral = 0;
    const step = 1e-4;
    for (let x = Math.log(15); x < Math.log(26); x += step) {
      const likelihood = rows.reduce(
        (p, r) => p + logErrorDensity((r.ohms - Math.exp(x)) / r.sigmaOhms, r.sigmaOhms),
        0,
      );
      integral += (Math.exp(likelihood) / box.logWidth) * step;
    }
    expect(fitSections([{ ratioTo: null, box }], rows).logEvidence).toBeCloseTo(Math.log(integral), 0);
  });

  it("is not moved by a section that no reading runs through", () => {
    const rows: FitRow[] = [{ mask: 0b1, ohms: 20, sigmaOhms: 0.2 }];
    const alone = fitSections([WIDE], rows).logEvidence;
    const besides = fitSections([WIDE, { ratioTo: 0, box: softBox(1.1, 3, 0.05) }], rows).logEvidence;
    expect(besides).toBeCloseTo(alone, 1);
  });

  it("judges a winding the same whether it or the one wound like it was read", () => {
    const alike: FitSection = { ratioTo: 0, box: softBox(0.96, 1.04, 0.02, 0.02, 5, 8) };
    const start: FitSection = { ratioTo: 0, box: softBox(1.2, 8, 0.05, 0.3) };
    for (const ratio of [1.3, 3, 6.5]) {
      const rows = (like: number): FitRow[] => [
        { mask: 1 << like, ohms: 10, sigmaOhms: 0.15 },
        { mask: 0b100, ohms: 10 * ratio, sigmaOhms: 0.15 * ratio },
      ];
      const [first, second] = [0, 1].map((like) => fitSections([WIDE, alike, start], rows(like)).logEvidence);
      expect(second).toBeCloseTo(first ?? 0, 0);
    }
  });

  it("gives what stands: no fit made after it changes it, and it comes out the same again", () => {
    const ohms = fc.double({ min: 0.5, max: 80, noNaN: true });
    const problem = fc.array(ohms, { minLength: 1, maxLength: 6 }).map((lengths) => ({
      sections: lengths.map((): FitSection => WIDE),
      rows: lengths.map((_, s): FitRow => {
        const sum = lengths.slice(0, s + 1).reduce((total, length) => total + length, 0);
        return { mask: (2 << s) - 1, ohms: sum, sigmaOhms: 0.05 + sum / 200 };
      }),
    }));
    fc.assert(
      fc.property(problem, fc.array(problem, { maxLength: 4 }), (one, others) => {
        const [rough, fit] = [roughFit(one.sections, one.rows), fitSections(one.sections, one.rows)];
        const before = structuredClone({ rough, fit });
        for (const { sections, rows } of others) fitSections(sections, rows);
        expect({ rough, fit }).toEqual(before);
        expect(fitSections(one.sections, one.rows)).toEqual(fit);
      }),
    );
  });
});
