import type { Equipment } from "../equipmentEntry";
import { contact, disconnect, GROUND_STUD, OWN_CAPACITOR, SUPPLY_115, screw, singleCapacitor } from "./parts";

/** A plain switch on a cord, for the shop bench. */
export const benchCord: Equipment = {
  place: 70,
  meantFor: [{ family: "two-winding", leads: [4] }],
  made: {
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
  },
};
