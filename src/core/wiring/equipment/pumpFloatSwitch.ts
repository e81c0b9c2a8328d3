import type { Equipment } from "../equipmentEntry";
import { contact, disconnect, GROUND_STUD, SUPPLY_115, screw, WET_PLACES } from "./parts";

/** A sump pump on a float switch, with a thermal cut-out in the same leg. */
export const pumpFloatSwitch: Equipment = {
  place: 90,
  meantFor: [{ family: "split-windings", leads: [4, 6] }],
  made: {
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
    cautions: [WET_PLACES, "A float that hangs keeps the pump running dry: see that it swings free."],
  },
};
