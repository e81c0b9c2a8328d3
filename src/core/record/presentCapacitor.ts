import { parseCapacitor } from "../quantity/capacitance";
import type { Compartment, Part } from "../wiring/compartment";

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
