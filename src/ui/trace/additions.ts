import type { Compartment, Device } from "@/core/wiring";

/** What can be added to a compartment by hand. */

function freeId(made: Compartment, stem: string): string {
  const taken = new Set(made.devices.map(({ id }) => id));
  let id = stem;
  for (let n = 2; taken.has(id); n++) id = `${stem}${n}`;
  return id;
}

function terminals(
  id: string,
  names: readonly string[],
  kind: Device["terminals"][number]["kind"],
): Device["terminals"] {
  return names.map((name) => ({ id: `${id}.${name}`, name, kind, places: 2, grip: "blade" as const }));
}

export const additions = {
  devices: {
    capacitor: {
      title: "a run capacitor",
      make: (made: Compartment): Device => {
        const id = freeId(made, "capacitor");
        return {
          id,
          name: "run capacitor",
          terminals: terminals(id, ["1", "2"], "capacitor"),
          parts: [
            { kind: "capacitor", id: `${id}.uF`, from: `${id}.1`, to: `${id}.2`, microfarads: 5, volts: 440 },
          ],
        };
      },
    },
    relay: {
      title: "a relay contact on the first call",
      make: (made: Compartment): Device => {
        const id = freeId(made, "relay");
        return {
          id,
          name: "relay",
          terminals: terminals(id, ["2", "4"], "load"),
          parts: [
            {
              kind: "contact",
              id: `${id}.contact`,
              from: `${id}.2`,
              to: `${id}.4`,
              closedOn: made.calls[0] ? [made.calls[0].id] : "always",
            },
          ],
        };
      },
    },
    block: {
      title: "a terminal block",
      make: (made: Compartment): Device => {
        const id = freeId(made, "block");
        return { id, name: "terminal block", terminals: terminals(id, ["a", "b", "c"], "load"), parts: [] };
      },
    },
    park: {
      title: "two places to park",
      make: (made: Compartment): Device => {
        const id = freeId(made, "parking");
        return { id, name: "parking", terminals: terminals(id, ["P1", "P2"], "park"), parts: [] };
      },
    },
  },

  /** The device with one terminal more. */
  terminal: (device: Device, name: string): Device => ({
    ...device,
    terminals: [
      ...device.terminals,
      {
        id: `${device.id}.${name.replace(/[^A-Za-z0-9_/-]+/g, "-")}`,
        name,
        kind: device.terminals[0]?.kind ?? "load",
        places: 2,
        grip: device.terminals[0]?.grip ?? "blade",
      },
    ],
  }),

  /** A wire between two terminals, under an id nobody has. */
  wire: (made: Compartment, from: string, to: string): Compartment["wires"][number] => {
    const taken = new Set(made.wires.map(({ id }) => id));
    let n = made.wires.length + 1;
    while (taken.has(`wire-${n}`)) n += 1;
    return { id: `wire-${n}`, from, to };
  },
};
