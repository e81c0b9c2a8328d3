import type { Plate } from "../motor/plate/plate";
import { parseCapacitor } from "../quantity/capacitance";
import type { Compartment, Part } from "../wiring/compartment";
import type { Job } from "./job";

/**
 * The equipment with the capacitor that was found in it, as its label was typed in Cap: a dual's two halves, or a single's
 * one value. What the label does not say, or is of another build, stays as the equipment has it.
 */
export function withPresent(made: Compartment, label: string): Compartment {
  const read = parseCapacitor(label);
  const { capacitor } = made.offers;
  if (!read.ok || !capacitor || read.label.kind === "start") return made;
  const { label: found } = read;
  const change = (part: Part): Part => {
    if (part.kind !== "capacitor" || part.start) return part;
    const volts = found.volts ?? part.volts;
    if (found.kind === "single")
      return capacitor.dual ? part : { ...part, microfarads: found.microfarads, volts, stated: "label" };
    if (found.kind !== "dual" || !capacitor.dual) return part;
    const fan = [part.from, part.to].includes(capacitor.startSide);
    return {
      ...part,
      microfarads: fan ? found.fanMicrofarads : found.hermMicrofarads,
      volts,
      stated: "label",
    };
  };
  return {
    ...made,
    devices: made.devices.map((device) =>
      device.id === capacitor.device ? { ...device, parts: device.parts.map(change) } : device,
    ),
  };
}

/** Whether another motor takes the old one's place: its plate, or a motor chosen in Match, is on the sheet. */
export function hasNewMotor({ plates }: Pick<Job, "plates">): boolean {
  return Object.keys(plates.new).length > 0;
}

/**
 * The plate of the motor to be landed, with the run capacitor that the old capacitor's label gives it: while the motor
 * stays and no plate says otherwise, what was on it (of a dual, the FAN side) is what it takes.
 */
export function withOldLabel(plate: Plate, job: Pick<Job, "plates" | "capacitor">): Plate {
  if (plate.runCapacitor || hasNewMotor(job)) return plate;
  const read = parseCapacitor(job.capacitor.present);
  if (!read.ok || read.label.kind === "start") return plate;
  const { label } = read;
  const microfarads = label.kind === "dual" ? label.fanMicrofarads : label.microfarads;
  return {
    ...plate,
    runCapacitor: { microfarads, ...(label.volts === undefined ? {} : { volts: label.volts }) },
  };
}
