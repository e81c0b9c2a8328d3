import { namedCapacitors } from "../proving/capacitorNames";
import type { ProvingObservation } from "../proving/observation";
import { parseCapacitor } from "../quantity/capacitance";
import type { WiringPlan } from "../wiring/plan";
import type { Job } from "./job";

type Microfarads = Extract<ProvingObservation, { what: "capacitor-microfarads" }>;

/** A label and the part of the plan name one value where they agree to this. */
const SAME_VALUE = 0.01;

/**
 * What Cap measured of the capacitors that the plan leaves in place, as observations of the proof: the latest of each by
 * meter, none from before a mend, none where the label tested is of another value than what is to hang there.
 */
export function capacitorsMeasured(
  { capacitorTests, proof }: Pick<Job, "capacitorTests" | "proof">,
  { compartment }: WiringPlan,
): Microfarads[] {
  const since = proof.rounds.at(-1)?.at ?? "";
  return namedCapacitors(compartment).flatMap(({ at, microfarads: planned }): Microfarads[] => {
    const test = capacitorTests.findLast(
      (one) => one.by.way === "meter" && one.at > since && isNear(labelled(one.label, one.half, at), planned),
    );
    return test?.by.way === "meter"
      ? [{ what: "capacitor-microfarads", at, microfarads: test.by.microfarads }]
      : [];
  });
}

function isNear(value: number | null, planned: number): boolean {
  return value !== null && Math.abs(value / planned - 1) < SAME_VALUE;
}

/** What the label gives the half that was tested, µF; null where that is not the capacitor of this name. */
function labelled(text: string, half: "single" | "herm" | "fan", at: string): number | null {
  const read = parseCapacitor(text);
  if (!read.ok) return null;
  const { label } = read;
  if (label.kind === "dual") {
    if (half !== at) return null;
    return half === "fan" ? label.fanMicrofarads : label.hermMicrofarads;
  }
  return label.kind === "single" && half === "single" && at === "run" ? label.microfarads : null;
}
