import type { Equipment } from "../equipmentEntry";
import { blade, contact, disconnect, GROUND_STUD, OWN_CAPACITOR, SUPPLY_115, singleCapacitor } from "./parts";

/** A switch that puts the line on one end of a reversible motor or on the other. */
export const reversingSwitch: Equipment = {
  place: 140,
  meantFor: [{ family: "two-winding-reversible", leads: [3], practised: true }],
  made: {
    id: "reversing-switch",
    title: "Two-way switch for a reversible motor",
    supply: SUPPLY_115,
    devices: [
      disconnect(["L", "N"], true),
      {
        id: "switch",
        name: "two-way switch",
        terminals: [
          blade("switch.OPEN", "call", 2),
          blade("switch.CLOSE", "call", 2),
          blade("switch.N", "neutral", 3),
        ],
        parts: [
          contact("switch.open", "L", "switch.OPEN", ["open"]),
          contact("switch.close", "L", "switch.CLOSE", ["close"]),
          contact("switch.neutral", "N", "switch.N", "always"),
        ],
      },
      singleCapacitor("capacitor", 5, 440),
      GROUND_STUD,
    ],
    wires: [],
    calls: [
      { id: "open", name: "One way" },
      { id: "close", name: "The other way" },
    ],
    // One lever: its positions exclude one another.
    together: [],
    offers: {
      feeds: [
        { call: "open", hot: "switch.OPEN", want: "forward" },
        { call: "close", hot: "switch.CLOSE", want: "reverse" },
      ],
      back: "switch.N",
      park: [],
      ground: "G",
      capacitor: OWN_CAPACITOR,
    },
    cautions: ["The motor stops before it is sent the other way."],
  },
};
