import type { Compartment, Device, Part, Terminal } from "./compartment";
import { contact, dualCapacitor, singleCapacitor } from "./equipment/parts";

/** A device that can be added to a compartment. */
export interface LibraryDevice {
  readonly id: string;
  readonly title: string;
  /** The device under an id that the compartment has not got, with its links; contacts move on the compartment's own calls. */
  readonly make: (made: Compartment) => { readonly device: Device; readonly wires: Compartment["wires"] };
}

type Kind = Terminal["kind"];

/** Written "name" or "name:kind"; the kind of the terminal before it where left out. */
function terminals(
  id: string,
  grip: Terminal["grip"],
  places: number,
  first: Kind,
  ...names: string[]
): Terminal[] {
  let kind = first;
  return names.map((written) => {
    const [name = "", own] = written.split(":") as [string, Kind?];
    kind = own ?? kind;
    return { id: `${id}.${name}`, name, kind, places, grip };
  });
}

function freeId(made: Compartment, stem: string): string {
  const taken = new Set(made.devices.map(({ id }) => id));
  let id = stem;
  for (let n = 2; taken.has(id); n++) id = `${stem}-${n}`;
  return id;
}

/** The calls of the compartment whose name or id has one of these words; its first call where none has. */
function callsFor({ calls }: Compartment, ...words: string[]): string[] {
  const found = calls.filter(({ id, name }) =>
    words.some((word) => `${id} ${name}`.toLowerCase().includes(word)),
  );
  return (found.length > 0 ? found : calls.slice(0, 1)).map(({ id }) => id);
}

function entry(
  id: string,
  title: string,
  build: (id: string, made: Compartment) => Pick<Device, "terminals" | "parts"> & Partial<Device>,
): LibraryDevice {
  return {
    id,
    title,
    make: (made) => {
      const own = freeId(made, id);
      const device = { id: own, name: title.replace(/^an? /, ""), ...build(own, made) };
      return { device, wires: [] };
    },
  };
}

/** Poles from `L1` … to `T1` …, each moved by the compartment's first call. */
function poles(id: string, made: Compartment, count: number, openedBy?: string): Part[] {
  return Array.from({ length: count }, (_, i) =>
    contact(
      `${id}.pole-${i + 1}`,
      `${id}.L${i + 1}`,
      `${id}.T${i + 1}`,
      callsFor(made),
      openedBy ? { openedBy } : {},
    ),
  );
}

/** Contacts from a board's LINE, one for each call terminal; each yields to the calls of those before it. */
function relays(id: string, made: Compartment, wanted: Readonly<Record<string, readonly string[]>>): Part[] {
  const before: string[] = [];
  return Object.entries(wanted).map(([terminal, words]) => {
    const on = callsFor(made, ...words);
    const opensOn = before.filter((call) => !on.includes(call));
    before.push(...on);
    return contact(`${id}.${terminal}-relay`, `${id}.LINE`, `${id}.${terminal}`, on, { opensOn });
  });
}

const ONE_STAGE = { COOL: ["cool"], HEAT: ["heat"], FAN: ["fan", "circ"] } as const;
const TWO_STAGE = {
  "COOL-HIGH": ["cool-high", "cooling, high"],
  "COOL-LOW": ["cool-low", "cooling, low"],
  "HEAT-HIGH": ["heat-high", "heating, high"],
  "HEAT-LOW": ["heat-low", "heating, low"],
} as const;

const board = (id: string, made: Compartment, calls: Readonly<Record<string, readonly string[]>>) => ({
  terminals: [
    ...terminals(id, "blade", 2, "line", "LINE"),
    ...terminals(id, "blade", 2, "call", ...Object.keys(calls)),
    ...terminals(id, "blade", 1, "park", "PARK1", "PARK2", "PARK3"),
    ...terminals(id, "blade", 5, "neutral", "NEUTRAL"),
  ],
  parts: relays(id, made, calls),
});

/** Devices to build a compartment of: every terminal and board of the trade's usual ones. */
export const DEVICE_LIBRARY: readonly LibraryDevice[] = [
  entry("disconnect", "a disconnect, two lines", (id) => ({
    terminals: terminals(id, "screw", 3, "line", "L1", "L2"),
    parts: [],
  })),
  entry("disconnect-3", "a disconnect, three lines", (id) => ({
    terminals: terminals(id, "screw", 3, "line", "L1", "L2", "L3"),
    parts: [],
  })),
  entry("contactor-1", "a contactor, one pole and a shunt", (id, made) => ({
    terminals: terminals(id, "screw", 3, "line", "L1", "L2", "T1:load", "T2"),
    // The shunt leg is live always: the check says so where a lead stands on it.
    parts: [...poles(id, made, 1), contact(`${id}.shunt`, `${id}.L2`, `${id}.T2`, "always")],
  })),
  entry("contactor-2", "a contactor, two poles", (id, made) => ({
    terminals: terminals(id, "screw", 3, "line", "L1", "L2", "T1:load", "T2"),
    parts: poles(id, made, 2),
  })),
  entry("contactor-3", "a contactor, three poles", (id, made) => ({
    terminals: terminals(id, "screw", 3, "line", "L1", "L2", "L3", "T1:load", "T2", "T3"),
    parts: poles(id, made, 3),
  })),
  entry("starter", "a starter with overload", (id, made) => ({
    terminals: terminals(id, "screw", 2, "line", "L1", "L2", "L3", "T1:load", "T2", "T3"),
    parts: poles(id, made, 3, "the overload has tripped"),
  })),
  entry("dual", "a dual capacitor", (id) => dualCapacitor(id, 35, 5, 440)),
  entry("capacitor", "a run capacitor", (id) => singleCapacitor(id, 5, 440)),
  entry("start-capacitor", "a start capacitor", (id) => ({
    terminals: terminals(id, "blade", 3, "capacitor", "1", "2"),
    parts: [
      {
        kind: "capacitor",
        id: `${id}.uF`,
        from: `${id}.1`,
        to: `${id}.2`,
        microfarads: 100,
        volts: 330,
        start: true,
      },
      { kind: "resistor", id: `${id}.bleed`, from: `${id}.1`, to: `${id}.2`, ohms: 15_000 },
    ],
  })),
  entry("potential-relay", "a potential relay", (id) => ({
    terminals: terminals(id, "blade", 3, "start", "1", "2", "5:load"),
    parts: [
      {
        kind: "potential-relay",
        id: `${id}.contact`,
        from: `${id}.1`,
        to: `${id}.2`,
        coilFrom: `${id}.2`,
        coilTo: `${id}.5`,
        coilOhms: 10_000,
        pickUpVolts: 180,
        dropOutVolts: 80,
      },
    ],
  })),
  entry("board", "a control board, one stage", (id, made) => board(id, made, ONE_STAGE)),
  entry("board-2", "a control board, two stages", (id, made) => board(id, made, TWO_STAGE)),
  entry("fan-relay", "a fan relay", (id, made) => ({
    terminals: terminals(id, "blade", 2, "line", "COM", "NO:call", "NC"),
    parts: [
      contact(`${id}.make`, `${id}.COM`, `${id}.NO`, callsFor(made, "fan")),
      contact(`${id}.break`, `${id}.COM`, `${id}.NC`, "always", {
        opensOn: callsFor(made, "fan"),
      }),
    ],
  })),
  entry("door-switch", "a door switch", (id) => ({
    terminals: terminals(id, "blade", 2, "load", "1", "2"),
    parts: [contact(`${id}.contact`, `${id}.1`, `${id}.2`, "always", { openedBy: "the door is open" })],
  })),
  entry("strip", "a thermostat strip", (id, made) => ({
    terminals: terminals(id, "screw", 2, "control", "R", "C", "W", "W2", "Y", "Y2", "G"),
    parts: Object.entries({ W: ["heat"], Y: ["cool"], G: ["fan", "cool"] }).map(([to, words]) =>
      contact(`${id}.${to}-call`, `${id}.R`, `${id}.${to}`, callsFor(made, ...words)),
    ),
  })),
  entry("switch", "a switch", (id, made) => ({
    terminals: terminals(id, "screw", 2, "line", "LINE", "LOAD:call"),
    parts: [contact(`${id}.pole`, `${id}.LINE`, `${id}.LOAD`, callsFor(made))],
  })),
  entry("two-way-switch", "a two-way switch", (id, made) => ({
    terminals: terminals(id, "blade", 2, "line", "COM", "1:call", "2"),
    parts: made.calls
      .slice(0, 2)
      .map((call, i) => contact(`${id}.way-${i + 1}`, `${id}.COM`, `${id}.${i + 1}`, [call.id])),
  })),
  entry("pressure-switch", "a pressure switch, two poles", (id, made) => ({
    terminals: terminals(id, "screw", 2, "line", "L1", "L2", "T1:load", "T2"),
    parts: poles(id, made, 2),
  })),
  entry("float-switch", "a float switch", (id, made) => ({
    terminals: terminals(id, "screw", 2, "line", "1", "2:call"),
    parts: [contact(`${id}.contact`, `${id}.1`, `${id}.2`, callsFor(made, "water", "float"))],
  })),
  entry("cut-out", "a float or limit that stops it", (id) => ({
    terminals: terminals(id, "screw", 2, "load", "1", "2"),
    parts: [contact(`${id}.contact`, `${id}.1`, `${id}.2`, "always", { openedBy: "the cut-out is open" })],
  })),
  {
    id: "motor-board",
    title: "a motor’s terminal board with a link",
    make: (made) => {
      const id = freeId(made, "motor-board");
      const posts = terminals(id, "stud", 4, "load", "1", "2", "3", "4", "5", "6");
      return {
        device: { id, name: "motor’s terminal board", terminals: posts, parts: [] },
        // A link is a wire like another: it is taken off and put elsewhere with the others.
        wires: [{ id: `${id}.link-2-3`, from: `${id}.2`, to: `${id}.3` }],
      };
    },
  },
  entry("volts-plug", "a plug or dial for volts", (id) => ({
    terminals: terminals(id, "stud", 3, "load", "T1", "T2", "T3", "T4"),
    // Two halves side by side for the low volts, one after the other for the high.
    parts: [
      contact(`${id}.low-1`, `${id}.T1`, `${id}.T3`, "always", { closedAt: ["low"] }),
      contact(`${id}.low-2`, `${id}.T2`, `${id}.T4`, "always", { closedAt: ["low"] }),
      contact(`${id}.high`, `${id}.T2`, `${id}.T3`, "always", { closedAt: ["high"] }),
    ],
    dial: {
      positions: [
        { id: "low", name: "low volts" },
        { id: "high", name: "high volts" },
      ],
      at: "high",
    },
  })),
  entry("rotation-plug", "a plug for rotation", (id) => ({
    terminals: terminals(id, "stud", 2, "load", "A", "B", "1", "2"),
    parts: [
      contact(`${id}.straight-1`, `${id}.A`, `${id}.1`, "always", { closedAt: ["straight"] }),
      contact(`${id}.straight-2`, `${id}.B`, `${id}.2`, "always", { closedAt: ["straight"] }),
      contact(`${id}.crossed-1`, `${id}.A`, `${id}.2`, "always", { closedAt: ["crossed"] }),
      contact(`${id}.crossed-2`, `${id}.B`, `${id}.1`, "always", { closedAt: ["crossed"] }),
    ],
    dial: {
      positions: [
        { id: "straight", name: "straight" },
        { id: "crossed", name: "turned over" },
      ],
      at: "straight",
    },
  })),
  entry("block", "a terminal block", (id) => ({
    terminals: terminals(id, "screw", 2, "load", "a", "b", "c"),
    parts: [],
  })),
  entry("parking", "two places to park", (id) => ({
    terminals: terminals(id, "blade", 1, "park", "P1", "P2"),
    parts: [],
  })),
  entry("ground-stud", "a ground stud", (id) => ({
    terminals: terminals(id, "stud", 4, "ground", "G"),
    parts: [],
  })),
];
