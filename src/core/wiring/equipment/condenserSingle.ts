import type { Equipment } from "../equipmentEntry";
import { contact, disconnect, GROUND_STUD, SUPPLY_230, screw, singleCapacitor } from "./parts";

/** A condenser fan with a run capacitor of its own; single-pole contactor, so one leg is live always. */
export const condenserSingle: Equipment = {
  place: 30,
  meantFor: [
    { family: "two-winding", leads: [4], practised: true },
    { family: "two-winding-start-pair", leads: [5], practised: true },
  ],
  made: {
    id: "condenser-single",
    title: "Condenser, fan capacitor of its own",
    supply: SUPPLY_230,
    devices: [
      disconnect(["L1", "L2"]),
      {
        id: "contactor",
        name: "contactor",
        terminals: [screw("contactor.T1", "load", 3), screw("contactor.T2", "load", 4)],
        parts: [
          contact("contactor.pole", "L1", "contactor.T1", ["cool"]),
          contact("contactor.shunt", "L2", "contactor.T2", "always"),
        ],
      },
      singleCapacitor("capacitor", 5, 440),
      GROUND_STUD,
    ],
    wires: [{ id: "line-to-capacitor", from: "contactor.T2", to: "capacitor.1" }],
    calls: [{ id: "cool", name: "Cooling" }],
    offers: {
      feeds: [{ call: "cool", hot: "contactor.T1", want: "fastest" }],
      back: "contactor.T2",
      park: [],
      ground: "G",
      capacitor: {
        device: "capacitor",
        startSide: "capacitor.2",
        lineSide: "capacitor.1",
        tied: true,
        dual: false,
      },
    },
    cautions: ["A single-pole contactor: the other leg stays live with the contactor open."],
  },
};
