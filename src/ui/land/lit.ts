import type { DrawnDevice, DrawnWire, PlanStep, WiringDrawing } from "@/core/wiring";

/** What the step at hand is about: a lead of the motor, a wire of the equipment, a device. */
export type Lit = Pick<PlanStep, "lead" | "wire" | "device">;

/** A rectangle of a drawing, in its units. */
export interface DrawnPart {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** How much is seen of what is not lit. */
const FAINT = 0.28;

/** What is not lit stands back; everything stands alike where nothing is. */
export function shade(lit: Lit | null, isLit: boolean): number {
  return lit === null || isLit ? 1 : FAINT;
}

export function isLitWire(lit: Lit | null, wire: DrawnWire): boolean {
  if (!lit) return false;
  return (wire.lead !== null && wire.lead === lit.lead) || wire.id === lit.wire;
}

/** A device that is worked on, or that a lit wire goes to. */
export function isLitDevice(lit: Lit | null, device: DrawnDevice, drawing: WiringDrawing): boolean {
  if (!lit) return false;
  if (lit.device === device.id) return true;
  return drawing.wires.some((wire) => {
    const end = wire.points.at(-1);
    return isLitWire(lit, wire) && end !== undefined && isOn(device, end);
  });
}

/** What of the drawing a step lights; null where it shows nothing of it, as a wire that is taken off. */
export function litOf(step: PlanStep | undefined, drawing: WiringDrawing): Lit | null {
  if (!step) return null;
  const shown =
    drawing.devices.some(({ id }) => id === step.device) ||
    drawing.wires.some((wire) => isLitWire(step, wire));
  return shown ? step : null;
}

/** Sizes of the strip around the end of a lit wire, in the drawing's units: about the width of a phone. */
const STRIP = { left: 170, right: 190, height: 132 } as const;

/** The part of the drawing around where a lit wire ends, or around a lit device; null where nothing is lit. */
export function stripOf(lit: Lit | null, drawing: WiringDrawing): DrawnPart | null {
  if (!lit) return null;
  const device = drawing.devices.find(({ id }) => id === lit.device);
  const wire = drawing.wires.find((one) => isLitWire(lit, one));
  const end = wire?.points.at(-1);
  const at = end ?? (device ? { x: device.x + device.width, y: device.y + STRIP.height / 2 } : null);
  if (!at) return null;
  const width = STRIP.left + STRIP.right;
  const within = (value: number, most: number) => Math.max(0, Math.min(value, Math.max(0, most)));
  return {
    x: within(at.x - STRIP.left, drawing.width - width),
    y: within(at.y - STRIP.height / 2, drawing.height - STRIP.height),
    width,
    height: STRIP.height,
  };
}

function isOn(device: DrawnDevice, { x, y }: { readonly x: number; readonly y: number }): boolean {
  return x >= device.x && x <= device.x + device.width && y >= device.y && y <= device.y + device.height;
}
