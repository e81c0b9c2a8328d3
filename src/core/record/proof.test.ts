import { describe, expect, it } from "vitest";
import type { FactBody } from "./facts";
import { deriveJob } from "./job";

/** The job of these entries, one a minute. */
function job(...bodies: readonly FactBody[]) {
  return deriveJob(
    bodies.map((body, i) => ({
      id: `0192f000-0000-7000-8000-0000000000${String(i).padStart(2, "0")}`,
      at: `2026-05-04T08:${String(i).padStart(2, "0")}:00.000Z`,
      by: "Dov Hask",
      body,
    })),
  );
}
const step = (id: string, done = true): FactBody => ({ kind: "safe-step", step: id, done });
const seen: FactBody = {
  kind: "proof-seen",
  seen: { what: "line-amps", call: "cool", lead: "a", amps: 3.1 },
};
const dead: FactBody = {
  kind: "proof-seen",
  seen: { what: "capacitor-microfarads", at: "fan", microfarads: 5 },
};

describe("the gate before anything is touched", () => {
  it("each step is kept with its time and name, and can be taken back", () => {
    const [done] = job(step("off"), step("meter")).safe.steps;
    expect(done).toEqual({ step: "off", at: "2026-05-04T08:00:00.000Z", by: "Dov Hask", volts: null });
    expect(job(step("off"), step("off", false)).safe.steps).toEqual([]);
  });

  it("power put on opens it again, and so does anything that is seen under power", () => {
    expect(job(step("off"), { kind: "power", on: true }).safe).toMatchObject({
      steps: [],
      poweredAt: "2026-05-04T08:01:00.000Z",
    });
    expect(job(step("off"), seen).safe.steps).toEqual([]);
    expect(job(step("off"), dead).safe.steps).toHaveLength(1);
    expect(job({ kind: "power", on: true }, step("off")).safe.steps).toHaveLength(1);
  });
});

describe("the proof on the record", () => {
  it("a mend begins it anew, and what was seen before stays", () => {
    const { proof } = job(
      seen,
      dead,
      { kind: "proof-mended", cause: "capacitor-weak", mended: "new 5 µF" },
      seen,
    );
    expect(proof.seen).toHaveLength(1);
    expect(proof.rounds).toMatchObject([{ cause: "capacitor-weak", mended: "new 5 µF", seen: [{}, {}] }]);
  });

  it("a line after the signature unmakes it", () => {
    const signed: FactBody = { kind: "proof-signed", signed: true, unseen: [] };
    expect(job(seen, signed).proof.signed).toMatchObject({ by: "Dov Hask", override: null });
    expect(job(seen, signed, dead).proof.signed).toBeNull();
    expect(job(seen, signed, { kind: "proof-signed", signed: false, unseen: [] }).proof.signed).toBeNull();
  });
});
