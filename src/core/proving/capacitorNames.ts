import type { Compartment, Device } from "../wiring/compartment";

/** A capacitor of the equipment, by its part and as a technician calls it: "fan", "herm", "run", "start". */
export interface NamedCapacitor {
  readonly id: string;
  readonly at: string;
  readonly microfarads: number;
}

/** The capacitors of the equipment; two of one name go by their ids. */
export function namedCapacitors({ devices }: Compartment): NamedCapacitor[] {
  const named = devices.flatMap((device) =>
    device.parts.flatMap((part) =>
      part.kind === "capacitor"
        ? [{ id: part.id, at: calledBy(device, part), microfarads: part.microfarads }]
        : [],
    ),
  );
  return toldApart(named);
}

type CapacitorPart = Extract<Device["parts"][number], { kind: "capacitor" }>;

/** What a technician calls a capacitor of a device: of a dual its section, else what it is for. */
export function calledBy({ parts }: Device, { to, start }: CapacitorPart): string {
  if (parts.filter(({ kind }) => kind === "capacitor").length > 1) return lastOf(to).toLowerCase();
  return start === true ? "start" : "run";
}

/** Two of one name go by their ids. */
export function toldApart<One extends { readonly id: string; readonly at: string }>(
  named: readonly One[],
): One[] {
  return named.map((one) =>
    named.filter(({ at }) => at === one.at).length > 1 ? { ...one, at: one.id } : one,
  );
}

/** The last part of a terminal's id: its own name on its device. */
export function lastOf(id: string): string {
  return id.split(".").at(-1) ?? id;
}
