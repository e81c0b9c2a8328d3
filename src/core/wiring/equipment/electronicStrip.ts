import type { Equipment } from "../equipmentEntry";
import { electronicBoard } from "./electronicBoard";
import { blade, contact, disconnect, GROUND_STUD, screw } from "./parts";

/** An air handler without a board: a relay's one call and the strip. */
export const electronicStrip: Equipment = {
  place: 180,
  meantFor: [],
  made: {
    ...electronicBoard.made,
    id: "electronic-strip",
    title: "Relay and thermostat strip, one call, electronic retrofit",
    devices: [
      disconnect(["L", "N"], true),
      {
        id: "relay",
        name: "fan relay",
        terminals: [
          blade("relay.LINE", "line", 3),
          blade("relay.NO", "call", 2),
          blade("relay.NEUTRAL", "neutral", 4),
        ],
        parts: [
          contact("relay.feed", "L", "relay.LINE", "always"),
          contact("relay.neutral", "N", "relay.NEUTRAL", "always"),
          contact("relay.make", "relay.LINE", "relay.NO", ["cool"]),
        ],
      },
      {
        id: "strip",
        name: "thermostat strip",
        terminals: ["R", "C", "Y", "G"].map((t) => screw(`strip.${t}`, "control", 2)),
        parts: [
          contact("strip.y", "strip.R", "strip.Y", ["cool"]),
          contact("strip.g", "strip.R", "strip.G", ["cool"]),
        ],
      },
      GROUND_STUD,
    ],
    wires: [],
    calls: [{ id: "cool", name: "Cooling" }],
    together: [],
    offers: {
      feeds: [{ call: "cool", hot: "relay.NO", want: "fastest" }],
      back: "relay.NEUTRAL",
      park: [],
      ground: "G",
    },
  },
};
