import type { Compartment, Device, Part, Terminal } from "../compartment";

/** Short ways to write equipment down. */

type Made<K extends Part["kind"]> = Omit<Extract<Part, { kind: K }>, "kind">;

/** A terminal on a blade; its name is the last part of its id unless told. */
export function blade(id: string, kind: Terminal["kind"], places = 2, name = lastOf(id)): Terminal {
  return { id, name, kind, places, grip: "blade" };
}

export function screw(id: string, kind: Terminal["kind"], places = 2, name = lastOf(id)): Terminal {
  return { id, name, kind, places, grip: "screw" };
}

export function contact(
  id: string,
  from: string,
  to: string,
  closedOn: Made<"contact">["closedOn"],
  more: Pick<Made<"contact">, "opensOn" | "openedBy" | "closedAt"> = {},
): Part {
  return { kind: "contact", id, from, to, closedOn, ...more };
}

/** The stud or screw the frame's ground lands on. */
export const GROUND_STUD: Device = {
  id: "ground",
  name: "ground stud",
  terminals: [{ id: "G", name: "ground", kind: "ground", places: 4, grip: "stud" }],
  parts: [],
};

/** Everything behind it is dead while the blower's door is off. */
export const DOOR_SWITCH: Device = {
  id: "door",
  name: "door switch",
  terminals: [blade("door.LOAD", "load", 2, "load side")],
  parts: [contact("door.contact", "L", "door.LOAD", "always", { openedBy: "the door is open" })],
};
export const DOOR_TO_BOARD: Compartment["wires"][number] = {
  id: "door-to-board",
  from: "door.LOAD",
  to: "board.LINE",
};

/** A capacitor of two terminals, without wires on it yet. */
export function singleCapacitor(
  id: string,
  microfarads: number,
  volts: number,
  name = "run capacitor",
): Device {
  return {
    id,
    name,
    terminals: [blade(`${id}.1`, "capacitor", 3), blade(`${id}.2`, "capacitor", 3)],
    parts: [{ kind: "capacitor", id: `${id}.uF`, from: `${id}.1`, to: `${id}.2`, microfarads, volts }],
  };
}

/** A capacitor of three terminals for compressor and fan. */
export function dualCapacitor(id: string, herm: number, fan: number, volts: number): Device {
  return {
    id,
    name: "dual capacitor",
    terminals: [
      blade(`${id}.C`, "capacitor", 4),
      blade(`${id}.FAN`, "capacitor", 2),
      blade(`${id}.HERM`, "capacitor", 2),
    ],
    parts: [
      { kind: "capacitor", id: `${id}.fan-uF`, from: `${id}.C`, to: `${id}.FAN`, microfarads: fan, volts },
      { kind: "capacitor", id: `${id}.herm-uF`, from: `${id}.C`, to: `${id}.HERM`, microfarads: herm, volts },
    ],
  };
}

/** A disconnect or breaker: where the supply comes in. */
export function disconnect(lines: readonly string[], neutral = false): Device {
  return {
    id: "supply",
    name: "supply",
    terminals: lines.map((line) => screw(line, neutral && line === "N" ? "neutral" : "line", 3)),
    parts: [],
  };
}

/** A switch in the hot leg beside its neutral. */
export function plainSwitch(loadPlaces: number): Device {
  return {
    id: "switch",
    name: "switch",
    terminals: [
      screw("switch.LOAD", "call", loadPlaces, "load side"),
      screw("switch.N", "neutral", 4, "neutral"),
    ],
    parts: [
      contact("switch.pole", "L", "switch.LOAD", ["on"]),
      contact("switch.neutral", "N", "switch.N", "always"),
    ],
  };
}

/** A contactor that breaks both lines on one call. */
export function twoPoleContactor(call: string, places: readonly [number, number]): Device {
  return {
    id: "contactor",
    name: "contactor",
    terminals: [screw("contactor.T1", "load", places[0]), screw("contactor.T2", "load", places[1])],
    parts: [
      contact("contactor.pole-1", "L1", "contactor.T1", [call]),
      contact("contactor.pole-2", "L2", "contactor.T2", [call]),
    ],
  };
}

/** Supplies as they are found. */
export const SUPPLY_115: Compartment["supply"] = {
  kind: "line-and-neutral",
  volts: 115,
  hertz: 60,
  terminals: ["L", "N"],
  ground: "G",
};
export const SUPPLY_230: Compartment["supply"] = {
  kind: "two-lines",
  volts: 230,
  hertz: 60,
  terminals: ["L1", "L2"],
  ground: "G",
};
export const SUPPLY_460: Compartment["supply"] = {
  kind: "three-lines",
  volts: 460,
  hertz: 60,
  terminals: ["L1", "L2", "L3"],
  ground: "G",
};

export const CONTROL_24 = { volts: 24, hot: "strip.R", common: "strip.C" } as const;

export const BLOWER_CAUTIONS = [
  "A wrong blower speed overheats the heat exchanger: check the temperature rise against the plate.",
  "The door switch is never defeated.",
];

/**
 * A blower's control board: a hot terminal for each call, fed through the door switch; neutrals; places to park. Its
 * relays bar one another: a call further down the list yields to those before it.
 */
export function controlBoard(
  calls: readonly (readonly [terminal: string, call: string])[],
  parks: number,
): Device {
  return {
    id: "board",
    name: "board",
    terminals: [
      blade("board.LINE", "line", 2),
      ...calls.map(([terminal]) => blade(`board.${terminal}`, "call", 2)),
      ...Array.from({ length: parks }, (_, i) => blade(`board.PARK${i + 1}`, "park", 1)),
      blade("board.NEUTRAL", "neutral", 5),
    ],
    parts: [
      contact("neutral-bank", "N", "board.NEUTRAL", "always"),
      ...calls.map(([terminal, call], i) =>
        contact(`board.${terminal}-relay`, "board.LINE", `board.${terminal}`, [call], {
          opensOn: calls.slice(0, i).map(([, before]) => before),
        }),
      ),
    ],
  };
}

/** The thermostat strip beside the board: each terminal stands at R's volts while its call stands. */
export function thermostatStrip(calls: Readonly<Record<string, readonly string[]>>): Device {
  return {
    id: "strip",
    name: "thermostat strip",
    terminals: ["R", "C", ...Object.keys(calls)].map((t) => screw(`strip.${t}`, "control", 2)),
    parts: Object.entries(calls).map(([t, on]) =>
      contact(`strip.${t.toLowerCase()}`, "strip.R", `strip.${t}`, [...on]),
    ),
  };
}

export const SUPPLY_115_CONTROL: Compartment["supply"] = {
  ...SUPPLY_115,
  control: { volts: 24, hot: "strip.R", common: "strip.C" },
};

export const WET_PLACES = "Wet places: ground-fault protection and bonding as the code asks.";

/** A potential relay with its start capacitor: 1 to the capacitor, 2 to the start winding, 5 to the return. */
export function startRelay(microfarads: number, pickUpVolts: number, dropOutVolts: number): Device[] {
  return [
    {
      id: "relay",
      name: "potential relay",
      terminals: [blade("relay.1", "start", 2), blade("relay.2", "start", 3), blade("relay.5", "load", 3)],
      parts: [
        {
          kind: "potential-relay",
          id: "relay.contact",
          from: "relay.1",
          to: "relay.2",
          coilFrom: "relay.2",
          coilTo: "relay.5",
          coilOhms: 10_000,
          pickUpVolts,
          dropOutVolts,
        },
      ],
    },
    {
      id: "start",
      name: "start capacitor",
      terminals: [blade("start.1", "capacitor", 3), blade("start.2", "capacitor", 2)],
      parts: [
        {
          kind: "capacitor",
          id: "start.uF",
          from: "start.1",
          to: "start.2",
          microfarads,
          volts: 330,
          start: true,
        },
        { kind: "resistor", id: "start.bleed", from: "start.1", to: "start.2", ohms: 15_000 },
      ],
    },
  ];
}

export const OWN_CAPACITOR: Compartment["offers"]["capacitor"] = {
  device: "capacitor",
  startSide: "capacitor.2",
  lineSide: "capacitor.1",
  tied: false,
  dual: false,
};

export const LOADS = [1, 2, 3] as const;

function lastOf(id: string): string {
  return id.slice(id.lastIndexOf(".") + 1);
}
