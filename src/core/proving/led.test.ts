import { describe, expect, it } from "vitest";
import { ledProof, outcomeOf, seededRandom } from "../bench";
import type { Cause } from "./causes";

const clock = () => 0;

describe("a proof led from the first power on", () => {
  it("is never sure and wrong on machines of every kind, one cause each or none", {
    timeout: 120_000,
  }, () => {
    const random = seededRandom(7);
    const proofs = Array.from({ length: 20 }, () => ledProof(random, 0.4, clock));
    const wrong = proofs.filter((one) => ["false-good", "false-found"].includes(outcomeOf(one)));
    expect(wrong.map(({ fault, diagnosis }) => [fault, diagnosis.causes[0]])).toEqual([]);
    expect(proofs.filter((one) => ["good", "found"].includes(outcomeOf(one))).length).toBeGreaterThan(10);
  });

  it.each(["lead-off", "capacitor-open", "phase-lost", "shaft-stuck"] satisfies Cause[])(
    "%s is found",
    { timeout: 60_000 },
    (cause) => {
      const random = seededRandom(11);
      const proofs = Array.from({ length: 4 }, () => ledProof(random, 0, clock, cause));
      expect(proofs.filter((one) => outcomeOf(one) === "found").length).toBeGreaterThanOrEqual(3);
    },
  );

  it("asks for nothing that needs power while a stop stands, and probabilities make one with the rest", {
    timeout: 60_000,
  }, () => {
    const random = seededRandom(5);
    for (let i = 0; i < 6; i++) {
      const { diagnosis } = ledProof(random, 0.2, clock);
      if (diagnosis.status === "stop") expect(diagnosis.nextCheck?.power ?? "off").toBe("off");
      const sum = diagnosis.causes.reduce((total, { probability }) => total + probability, 0);
      expect(sum).toBeLessThanOrEqual(1 + 1e-9);
      expect(sum).toBeGreaterThan(0.9);
    }
  });
});
