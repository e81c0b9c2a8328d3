import type { Equipment } from "../equipmentEntry";
import { contact, disconnect, GROUND_STUD, SUPPLY_230, screw, WET_PLACES } from "./parts";

/** A two-pole pressure switch; the motor has its own start switch on the shaft. */
export const pumpPressureSwitch: Equipment = {
  place: 80,
  meantFor: [
    { family: "split-windings", leads: [4, 6] },
    { family: "dual-voltage-single-phase", leads: [6, 8] },
  ],
  made: {
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
    cautions: [WET_PLACES, "A protector that resets itself restarts a hot motor without warning."],
  },
};
