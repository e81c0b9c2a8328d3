import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { builtMotor, seededRandom } from "../bench";
import { fedMotor } from "./fedMotor";
import { fitMotor, fitOtherwise } from "./fitMotor";
import { fitSpread } from "./fitSpread";
import type { Load } from "./load";
import { nearbyPoint, operatingPoint } from "./operatingPoint";

const KINDS = [
  ["two-winding", 3],
  ["split-windings", 4],
  ["three-phase-3", 3],
] as const;

function motorOf(seed: number, kind: number) {
  const [family, leads] = KINDS[kind % KINDS.length] ?? KINDS[0];
  return builtMotor(seededRandom(seed), family, leads, 230);
}

describe("the balance next to the one before", () => {
  it("is the one that a whole run-up finds, for a load or volts a little other", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 0, max: 2 }),
        fc.double({ min: 0.92, max: 1.06, noNaN: true }),
        (seed, kind, times) => {
          const { motor, truth } = motorOf(seed, kind);
          const feed = {
            ask: { speed: 1, setting: "high", reversed: false } as const,
            volts: truth.rating.volts.high,
            runMicrofarads: truth.rating.runMicrofarads,
          };
          const load = (share: number): Load => ({
            kind: "fan",
            newtonMetres: share * truth.ratedNm,
            atRpm: truth.rating.rpm,
          });
          const fed = fedMotor(motor, truth.parameters, truth.gear, feed);
          const was = fed && operatingPoint(fed.machine, load(1), fed.contacts);
          if (!fed || !was || was.outcome === "stalls") return;
          const whole = operatingPoint(fed.machine, load(times), fed.contacts);
          const near = nearbyPoint(fed.machine, load(times), was, fed.contacts);
          if (!whole || whole.open.join() !== was.open.join()) return;
          expect(near?.rpm).toBeCloseTo(whole.rpm, 3);
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe("what a plate leaves open", () => {
  it("is a covariance: symmetric, no variance below zero, wider than the model’s own doubt", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 0, max: 2 }), (seed, kind) => {
        const { motor, truth } = motorOf(seed, kind);
        const spread = fitSpread(motor, fitMotor(motor, truth.rating));
        expect(spread.isSymmetric()).toBe(true);
        for (const variance of spread.diagonal()) expect(variance).toBeGreaterThan(0.002);
      }),
      { numRuns: 6 },
    );
  });

  it("another build of the same plate still draws its amps, where it meets the plate", () => {
    const { motor, truth } = motorOf(3, 0);
    const fitted = fitMotor(motor, truth.rating);
    const { parameters, worse } = fitOtherwise(motor, fitted, "magnetisingOhms", 0.57);
    expect(parameters.magnetisingOhms).toBeCloseTo(0.57 * fitted.parameters.magnetisingOhms, 9);
    expect(Number.isFinite(worse)).toBe(true);
  });
});
