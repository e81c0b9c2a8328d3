import { describe, expect, it } from "vitest";
import { compartmentById } from "../wiring";
import type { WiringPlan } from "../wiring/plan";
import { capacitorsMeasured } from "./capacitorsMeasured";
import type { FactBody } from "./facts";
import { deriveJob } from "./job";

function measured(equipment: string, ...bodies: readonly FactBody[]) {
  const compartment = compartmentById(equipment);
  if (!compartment) throw new Error(equipment);
  const job = deriveJob(
    bodies.map((body, i) => ({
      id: `0192f000-0000-7000-8000-0000000000${String(i).padStart(2, "0")}`,
      at: `2026-05-04T08:${String(i).padStart(2, "0")}:00.000Z`,
      by: "Dov Hask",
      body,
    })),
  );
  return capacitorsMeasured(job, { compartment } as WiringPlan);
}

const dual = compartmentById("condenser-dual")?.devices.flatMap(({ parts }) =>
  parts.flatMap((part) => (part.kind === "capacitor" ? [part.microfarads] : [])),
);
const [herm = 0, fan = 0] = [Math.max(...(dual ?? [])), Math.min(...(dual ?? []))];
const test = (label: string, half: "herm" | "fan" | "single", microfarads: number): FactBody => ({
  kind: "capacitor-test",
  test: { label, half, by: { way: "meter", microfarads } },
});
const mended: FactBody = { kind: "proof-mended", cause: "capacitor-weak", mended: "a new dual" };

describe("what Cap measured reaches the proof", () => {
  const label = `${herm}/${fan} 440`;

  it("each half by its name, the latest of each", () => {
    const seen = measured(
      "condenser-dual",
      test(label, "fan", 3),
      test(label, "herm", herm),
      test(label, "fan", fan),
    );
    expect(seen.toSorted((a, b) => a.at.localeCompare(b.at))).toEqual([
      { what: "capacitor-microfarads", at: "fan", microfarads: fan },
      { what: "capacitor-microfarads", at: "herm", microfarads: herm },
    ]);
  });

  it("not of a capacitor of another value, nor from before a mend, nor by amps and volts", () => {
    expect(measured("condenser-dual", test("80/9 440", "fan", 9))).toEqual([]);
    expect(measured("condenser-dual", test(label, "fan", 3), mended)).toEqual([]);
    expect(measured("condenser-dual", test(label, "single", 5))).toEqual([]);
    const atWork: FactBody = {
      kind: "capacitor-test",
      test: { label, half: "fan", by: { way: "under-load", amps: 1, volts: 380, hertz: 60 } },
    };
    expect(measured("condenser-dual", atWork)).toEqual([]);
  });
});
