import type { Compartment } from "../compartment";
import {
  blade,
  contact,
  disconnect,
  GROUND_STUD,
  SUPPLY_115,
  SUPPLY_230,
  screw,
  singleCapacitor,
} from "./build";

const OWN_CAPACITOR: Compartment["offers"]["capacitor"] = {
  device: "capacitor",
  startSide: "capacitor.2",
  lineSide: "capacitor.1",
  tied: false,
  dual: false,
};

/** An air handler's fan relay on two lines. */
export const airHandlerRelay: Compartment = {
  id: "air-handler-relay",
  title: "Air handler, fan relay",
  supply: SUPPLY_230,
  devices: [
    disconnect(["L1", "L2"]),
    {
      id: "relay",
      name: "fan relay",
      terminals: [blade("relay.NO", "call", 2), blade("relay.NC", "call", 2), blade("relay.L2", "load", 4)],
      parts: [
        contact("relay.make", "L1", "relay.NO", ["fan"]),
        contact("relay.break", "L1", "relay.NC", "always", { opensOn: ["fan"] }),
        contact("relay.through", "L2", "relay.L2", "always"),
      ],
    },
    singleCapacitor("capacitor", 7.5, 440),
    GROUND_STUD,
  ],
  wires: [],
  calls: [{ id: "fan", name: "Fan" }],
  offers: {
    feeds: [{ call: "fan", hot: "relay.NO", want: "fastest" }],
    back: "relay.L2",
    park: [],
    ground: "G",
    capacitor: OWN_CAPACITOR,
  },
  cautions: ["The relay breaks one leg; the other stays live."],
};

/** A plain switch on a cord, for the shop bench. */
export const benchCord: Compartment = {
  id: "bench-cord",
  title: "Plain switch and cord, on the bench",
  supply: SUPPLY_115,
  devices: [
    disconnect(["L", "N"], true),
    {
      id: "switch",
      name: "switch",
      terminals: [screw("switch.LOAD", "call", 2, "load side"), screw("switch.N", "neutral", 4, "neutral")],
      parts: [
        contact("switch.pole", "L", "switch.LOAD", ["on"]),
        contact("switch.neutral", "N", "switch.N", "always"),
      ],
    },
    singleCapacitor("capacitor", 7.5, 440),
    GROUND_STUD,
  ],
  wires: [],
  calls: [{ id: "on", name: "Switch on" }],
  offers: {
    feeds: [{ call: "on", hot: "switch.LOAD", want: "fastest" }],
    back: "switch.N",
    park: [],
    ground: "G",
    capacitor: OWN_CAPACITOR,
  },
  cautions: ["The switch breaks the hot leg. A blower in open air overloads: a short run only."],
};

/** One main or the other of a pole-changing motor; the start winding is fed in both places of the switch. */
export const twoSpeedSwitch: Compartment = {
  id: "two-speed-switch",
  title: "Two-speed switch",
  supply: SUPPLY_115,
  devices: [
    disconnect(["L", "N"], true),
    {
      id: "switch",
      name: "two-speed switch",
      terminals: [
        blade("switch.FAST", "call", 2),
        blade("switch.SLOW", "call", 2),
        blade("switch.START", "start", 2),
        blade("switch.N", "neutral", 4),
      ],
      parts: [
        contact("switch.fast", "L", "switch.FAST", ["fast"]),
        contact("switch.slow", "L", "switch.SLOW", ["slow"]),
        contact("switch.start", "L", "switch.START", ["fast", "slow"]),
        contact("switch.neutral", "N", "switch.N", "always"),
      ],
    },
    GROUND_STUD,
  ],
  wires: [],
  calls: [
    { id: "fast", name: "Fast" },
    { id: "slow", name: "Slow" },
  ],
  // One lever: its positions exclude one another.
  together: [],
  offers: {
    feeds: [
      { call: "fast", hot: "switch.FAST", want: "fastest" },
      { call: "slow", hot: "switch.SLOW", want: "slowest" },
    ],
    back: "switch.N",
    park: [],
    ground: "G",
    start: "switch.START",
  },
  cautions: [],
};

/** A switch that puts the line on one end of a reversible motor or on the other. */
export const reversingSwitch: Compartment = {
  id: "reversing-switch",
  title: "Two-way switch for a reversible motor",
  supply: SUPPLY_115,
  devices: [
    disconnect(["L", "N"], true),
    {
      id: "switch",
      name: "two-way switch",
      terminals: [
        blade("switch.OPEN", "call", 2),
        blade("switch.CLOSE", "call", 2),
        blade("switch.N", "neutral", 3),
      ],
      parts: [
        contact("switch.open", "L", "switch.OPEN", ["open"]),
        contact("switch.close", "L", "switch.CLOSE", ["close"]),
        contact("switch.neutral", "N", "switch.N", "always"),
      ],
    },
    singleCapacitor("capacitor", 5, 440),
    GROUND_STUD,
  ],
  wires: [],
  calls: [
    { id: "open", name: "One way" },
    { id: "close", name: "The other way" },
  ],
  // One lever: its positions exclude one another.
  together: [],
  offers: {
    feeds: [
      { call: "open", hot: "switch.OPEN", want: "forward" },
      { call: "close", hot: "switch.CLOSE", want: "reverse" },
    ],
    back: "switch.N",
    park: [],
    ground: "G",
    capacitor: OWN_CAPACITOR,
  },
  cautions: ["The motor stops before it is sent the other way."],
};
