import type { Equipment } from "../equipmentEntry";
import {
  contact,
  disconnect,
  GROUND_STUD,
  SUPPLY_230,
  screw,
  singleCapacitor,
  startRelay,
  WET_PLACES,
} from "./parts";

/** The control box of a three-wire submersible: main, start and joint; start and run capacitor, potential relay. */
export const submersibleBox: Equipment = {
  place: 120,
  meantFor: [{ family: "two-winding", leads: [3] }],
  made: {
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
    cautions: [
      WET_PLACES,
      "The cable down the well is live at the splice: dead and proved before it is touched.",
    ],
  },
};
