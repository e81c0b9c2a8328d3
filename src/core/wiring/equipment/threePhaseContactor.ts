import type { Equipment } from "../equipmentEntry";
import { contact, disconnect, GROUND_STUD, LOADS, SUPPLY_460, screw } from "./parts";

/** A three-pole contactor. */
export const threePhaseContactor: Equipment = {
  place: 150,
  meantFor: [{ family: "three-phase-3", leads: [3], practised: true }],
  made: {
    id: "three-phase-contactor",
    title: "Three-phase contactor",
    supply: SUPPLY_460,
    devices: [
      disconnect(["L1", "L2", "L3"]),
      {
        id: "contactor",
        name: "contactor",
        terminals: LOADS.map((n) => screw(`contactor.T${n}`, "load", 2)),
        parts: LOADS.map((n) => contact(`contactor.pole-${n}`, `L${n}`, `contactor.T${n}`, ["run"])),
      },
      GROUND_STUD,
    ],
    wires: [],
    calls: [{ id: "run", name: "Run" }],
    offers: {
      feeds: [{ call: "run", hot: "contactor.T1", want: "fastest" }],
      back: "contactor.T2",
      lines: ["contactor.T1", "contactor.T2", "contactor.T3"],
      park: [],
      ground: "G",
    },
    cautions: [],
  },
};
