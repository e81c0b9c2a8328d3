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

function lastOf(id: string): string {
  return id.slice(id.lastIndexOf(".") + 1);
}
