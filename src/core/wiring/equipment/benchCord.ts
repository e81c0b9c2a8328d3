import type { Equipment } from "../equipmentEntry";
import { disconnect, GROUND_STUD, OWN_CAPACITOR, plainSwitch, SUPPLY_115, singleCapacitor } from "./parts";

/** A plain switch on a cord, for the shop bench. */
export const benchCord: Equipment = {
  place: 70,
  meantFor: [{ family: "two-winding", leads: [4], practised: true }],
  made: {
    id: "bench-cord",
    title: "Plain switch and cord, on the bench",
    supply: SUPPLY_115,
    devices: [
      disconnect(["L", "N"], true),
      plainSwitch(2),
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
