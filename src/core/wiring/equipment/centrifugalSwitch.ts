import type { Equipment } from "../equipmentEntry";
import { disconnect, GROUND_STUD, plainSwitch, SUPPLY_115 } from "./parts";

/** A plain switch on 115 V for a motor with its start capacitor and centrifugal switch on it. */
export const centrifugalSwitch: Equipment = {
  place: 100,
  meantFor: [{ family: "split-windings", leads: [4, 6] }],
  made: {
    id: "centrifugal-switch",
    title: "Plain switch, start switch on the motor’s shaft",
    supply: SUPPLY_115,
    devices: [disconnect(["L", "N"], true), plainSwitch(3), GROUND_STUD],
    wires: [],
    calls: [{ id: "on", name: "Switch on" }],
    offers: {
      feeds: [{ call: "on", hot: "switch.LOAD", want: "fastest" }],
      back: "switch.N",
      park: [],
      ground: "G",
    },
    cautions: ["A start switch sparks: not in flammable vapor."],
  },
};
