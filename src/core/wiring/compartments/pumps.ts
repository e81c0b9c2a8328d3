import type { Compartment, Device } from "../compartment";
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

const WET = "Wet places: ground-fault protection and bonding as the code asks.";

/** A two-pole pressure switch; the motor has its own start switch on the shaft. */
export const pumpPressureSwitch: Compartment = {
  id: "pump-pressure-switch",
  title: "Pump on a pressure switch",
  supply: SUPPLY_230,
  devices: [
    disconnect(["L1", "L2"]),
    {
      id: "pressure",
      name: "pressure switch",
      terminals: [screw("pressure.T1", "load", 2, "load 1"), screw("pressure.T2", "load", 2, "load 2")],
      parts: [
        contact("pressure.pole-1", "L1", "pressure.T1", ["low"]),
        contact("pressure.pole-2", "L2", "pressure.T2", ["low"]),
      ],
    },
    GROUND_STUD,
  ],
  wires: [],
  calls: [{ id: "low", name: "Pressure low" }],
  offers: {
    feeds: [{ call: "low", hot: "pressure.T1", want: "fastest" }],
    back: "pressure.T2",
    park: [],
    ground: "G",
  },
  cautions: [WET, "A protector that resets itself restarts a hot motor without warning."],
};

/** A sump pump on a float switch, with a thermal cut-out in the same leg. */
export const pumpFloatSwitch: Compartment = {
  id: "pump-float-switch",
  title: "Pump on a float switch",
  supply: SUPPLY_115,
  devices: [
    disconnect(["L", "N"], true),
    {
      id: "float",
      name: "float switch",
      terminals: [screw("float.LOAD", "call", 2, "load side"), screw("float.N", "neutral", 3, "neutral")],
      parts: [
        contact("float.contact", "L", "float.LOAD", ["high"], { openedBy: "the thermal cut-out is open" }),
        contact("float.neutral", "N", "float.N", "always"),
      ],
    },
    GROUND_STUD,
  ],
  wires: [],
  calls: [{ id: "high", name: "Water high" }],
  offers: {
    feeds: [{ call: "high", hot: "float.LOAD", want: "fastest" }],
    back: "float.N",
    park: [],
    ground: "G",
  },
  cautions: [WET, "A float that hangs keeps the pump running dry: see that it swings free."],
};

/** A plain switch on 115 V for a motor with its start capacitor and centrifugal switch on it. */
export const centrifugalSwitch: Compartment = {
  id: "centrifugal-switch",
  title: "Plain switch, start switch on the motor’s shaft",
  supply: SUPPLY_115,
  devices: [
    disconnect(["L", "N"], true),
    {
      id: "switch",
      name: "switch",
      terminals: [screw("switch.LOAD", "call", 3, "load side"), screw("switch.N", "neutral", 4, "neutral")],
      parts: [
        contact("switch.pole", "L", "switch.LOAD", ["on"]),
        contact("switch.neutral", "N", "switch.N", "always"),
      ],
    },
    GROUND_STUD,
  ],
  wires: [],
  calls: [{ id: "on", name: "Switch on" }],
  offers: {
    feeds: [{ call: "on", hot: "switch.LOAD", want: "fastest" }],
    back: "switch.N",
    park: [],
    ground: "G",
  },
  cautions: ["A start switch sparks: not in flammable vapour."],
};

/** A potential relay with its start capacitor: 1 to the capacitor, 2 to the start winding, 5 to the return. */
function startRelay(microfarads: number, pickUpVolts: number, dropOutVolts: number): Device[] {
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

/** A start capacitor with its potential relay on two lines, no run capacitor. */
export const startCapacitorRelay: Compartment = {
  id: "start-capacitor-relay",
  title: "Start capacitor with potential relay",
  supply: SUPPLY_230,
  devices: [
    disconnect(["L1", "L2"]),
    {
      id: "contactor",
      name: "contactor",
      terminals: [screw("contactor.T1", "load", 3), screw("contactor.T2", "load", 3)],
      parts: [
        contact("contactor.pole-1", "L1", "contactor.T1", ["run"]),
        contact("contactor.pole-2", "L2", "contactor.T2", ["run"]),
      ],
    },
    ...startRelay(100, 180, 80),
    GROUND_STUD,
  ],
  wires: [
    { id: "line-to-start", from: "contactor.T1", to: "start.1" },
    { id: "start-to-relay", from: "start.2", to: "relay.1" },
    { id: "relay-to-line", from: "relay.5", to: "contactor.T2" },
  ],
  calls: [{ id: "run", name: "Run" }],
  offers: {
    feeds: [{ call: "run", hot: "contactor.T1", want: "fastest" }],
    back: "contactor.T2",
    park: [],
    ground: "G",
    start: "relay.2",
    takesStartOut: true,
  },
  cautions: [WET],
};

/** The control box of a three-wire submersible: main, start and joint; start and run capacitor, potential relay. */
export const submersibleBox: Compartment = {
  id: "submersible-box",
  title: "Control box of a three-wire submersible pump",
  supply: SUPPLY_230,
  devices: [
    disconnect(["L1", "L2"]),
    {
      id: "box",
      name: "control box",
      terminals: [
        screw("box.main", "load", 3, "main"),
        screw("box.start", "start", 3, "start"),
        screw("box.shared", "load", 4, "joint"),
      ],
      parts: [
        contact("box.pole-1", "L1", "box.main", ["run"]),
        contact("box.pole-2", "L2", "box.shared", ["run"]),
      ],
    },
    ...startRelay(88, 200, 90),
    singleCapacitor("run", 15, 440),
    GROUND_STUD,
  ],
  wires: [
    { id: "main-to-start-capacitor", from: "box.main", to: "start.1" },
    { id: "start-capacitor-to-relay", from: "start.2", to: "relay.1" },
    { id: "relay-to-start", from: "relay.2", to: "box.start" },
    { id: "relay-to-shared", from: "relay.5", to: "box.shared" },
    { id: "main-to-run-capacitor", from: "box.main", to: "run.1" },
    { id: "run-capacitor-to-start", from: "run.2", to: "box.start" },
  ],
  calls: [{ id: "run", name: "Run" }],
  offers: {
    feeds: [{ call: "run", hot: "box.shared", want: "fastest" }],
    back: "box.main",
    park: [],
    ground: "G",
    capacitor: { device: "run", startSide: "box.start", lineSide: "box.main", tied: true, dual: false },
    start: "box.start",
    startFed: "box.main",
    takesStartOut: true,
  },
  cautions: [WET, "The cable down the well is live at the splice: dead and proved before it is touched."],
};
