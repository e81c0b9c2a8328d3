import type { Equipment } from "../equipmentEntry";
import { disconnect, GROUND_STUD, SUPPLY_230, startRelay, twoPoleContactor, WET_PLACES } from "./parts";

/** A start capacitor with its potential relay on two lines, no run capacitor. */
export const startCapacitorRelay: Equipment = {
  place: 110,
  meantFor: [
    { family: "split-windings", leads: [4] },
    { family: "two-winding", leads: [3] },
  ],
  made: {
    id: "start-capacitor-relay",
    title: "Start capacitor with potential relay",
    supply: SUPPLY_230,
    devices: [
      disconnect(["L1", "L2"]),
      twoPoleContactor("run", [3, 3]),
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
    cautions: [WET_PLACES],
  },
};
