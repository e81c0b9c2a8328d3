import type { CapacitorLabel } from "../quantity/capacitance";
import { digits } from "../quantity/number";
import { isWithin } from "./runPlan";
import { USUAL_TOLERANCE_PERCENT } from "./values";

/** What is to be fitted after plate and label were held against each other. */
export interface Decided {
  readonly label: CapacitorLabel;
  /** Where they clash: what each says; "" where they agree or only one speaks. */
  readonly clash: string;
}

/**
 * The label of the capacitor that is there against the plate of the motor that stays: somebody may have fitted a wrong
 * one before, so the plate decides. Of a dual it speaks of the FAN side alone; volts are the higher of the two.
 */
export function plateOverLabel(
  label: CapacitorLabel,
  plate: { readonly microfarads: number; readonly volts?: number } | undefined,
): Decided {
  if (!plate || label.kind === "start") return { label, clash: "" };
  const fitted = label.kind === "dual" ? label.fanMicrofarads : label.microfarads;
  const low = plate.volts !== undefined && label.volts !== undefined && label.volts < plate.volts;
  const known = [plate.volts, label.volts].filter((volts) => volts !== undefined);
  const volts = known.length > 0 ? { volts: Math.max(...known) } : {};
  const same = isWithin(fitted, plate.microfarads, USUAL_TOLERANCE_PERCENT);
  const microfarads = same ? fitted : plate.microfarads;
  const decided: CapacitorLabel =
    label.kind === "dual"
      ? { ...label, fanMicrofarads: microfarads, ...volts }
      : { ...label, microfarads, ...volts };
  if (same && !low) return { label: decided, clash: "" };
  const say = (value: number, rated?: number) =>
    `${digits(value, 4)} µF${rated === undefined ? "" : `, ${rated} V`}`;
  return {
    label: decided,
    clash: `The motor’s plate asks for ${say(plate.microfarads, plate.volts)}; the one there is ${say(fitted, label.volts)}. The plate decides: somebody may have fitted a wrong one before.`,
  };
}
