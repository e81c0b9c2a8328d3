import type { Equipment } from "../equipmentEntry";
import { disconnect, dualCapacitor, GROUND_STUD, SUPPLY_230, screw, twoPoleContactor } from "./parts";

/** A condenser whose fan and compressor share one dual capacitor; two-pole contactor. */
export const condenserDual: Equipment = {
  place: 10,
  meantFor: [{ family: "two-winding", leads: [3, 4], practised: true }],
  made: {
    id: "condenser-dual",
    title: "Condenser, dual capacitor",
    supply: SUPPLY_230,
    devices: [
      disconnect(["L1", "L2"]),
      twoPoleContactor("cool", [3, 4]),
      dualCapacitor("dual", 35, 5, 440),
      {
        id: "compressor",
        name: "compressor",
        terminals: [
          screw("compressor.C", "load", 1),
          screw("compressor.R", "load", 1),
          screw("compressor.S", "start", 1),
        ],
        parts: [
          {
            kind: "compressor",
            id: "compressor.windings",
            from: "compressor.C",
            to: "compressor.R",
            start: "compressor.S",
            runOhms: 0.8,
            startOhms: 3,
          },
        ],
      },
      GROUND_STUD,
    ],
    wires: [
      { id: "line-to-c", from: "contactor.T2", to: "dual.C", serves: "compressor" },
      { id: "compressor-common", from: "contactor.T1", to: "compressor.C", serves: "compressor" },
      { id: "compressor-run", from: "contactor.T2", to: "compressor.R", serves: "compressor" },
      { id: "compressor-start", from: "dual.HERM", to: "compressor.S", serves: "compressor" },
    ],
    calls: [{ id: "cool", name: "Cooling" }],
    offers: {
      feeds: [{ call: "cool", hot: "contactor.T1", want: "fastest" }],
      back: "contactor.T2",
      park: [],
      ground: "G",
      capacitor: { device: "dual", startSide: "dual.FAN", lineSide: "dual.C", tied: true, dual: true },
    },
    cautions: ["The compressor keeps C and HERM. Its terminals are not to be touched with its cover off."],
  },
};
