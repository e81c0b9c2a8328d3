import type { Equipment } from "../equipmentEntry";
import {
  blade,
  CONTROL_24,
  contact,
  DOOR_SWITCH,
  DOOR_TO_BOARD,
  disconnect,
  GROUND_STUD,
  SUPPLY_115,
  screw,
} from "./parts";

/** A one-stage board with the thermostat strip beside it, for an electronic retrofit. */
export const electronicBoard: Equipment = {
  place: 170,
  meantFor: [],
  made: {
    id: "electronic-board",
    title: "Board and thermostat strip, electronic retrofit",
    supply: { ...SUPPLY_115, control: CONTROL_24 },
    devices: [
      disconnect(["L", "N"], true),
      DOOR_SWITCH,
      {
        id: "board",
        name: "board",
        terminals: [
          blade("board.LINE", "line", 3),
          blade("board.COOL", "call", 2),
          blade("board.HEAT", "call", 2),
          blade("board.NEUTRAL", "neutral", 5),
        ],
        parts: [
          contact("neutral-bank", "N", "board.NEUTRAL", "always"),
          contact("board.cool-relay", "board.LINE", "board.COOL", ["cool"]),
          contact("board.heat-relay", "board.LINE", "board.HEAT", ["heat", "heat-2"], { opensOn: ["cool"] }),
        ],
      },
      {
        id: "strip",
        name: "thermostat strip",
        terminals: ["R", "C", "W", "W2", "Y", "G"].map((t) => screw(`strip.${t}`, "control", 2)),
        parts: [
          contact("strip.w", "strip.R", "strip.W", ["heat", "heat-2"]),
          contact("strip.w2", "strip.R", "strip.W2", ["heat-2"]),
          contact("strip.y", "strip.R", "strip.Y", ["cool"]),
          contact("strip.g", "strip.R", "strip.G", ["cool", "fan"]),
        ],
      },
      GROUND_STUD,
    ],
    wires: [DOOR_TO_BOARD],
    calls: [
      { id: "cool", name: "Cooling" },
      { id: "heat", name: "Heating, first stage" },
      { id: "heat-2", name: "Heating, second stage" },
      { id: "fan", name: "Continuous fan" },
    ],
    together: [
      ["cool", "fan"],
      ["heat", "fan"],
      ["heat", "heat-2"],
    ],
    offers: {
      feeds: [
        { call: "cool", hot: "board.COOL", want: "fastest" },
        { call: "heat", hot: "board.HEAT", want: "middle" },
      ],
      back: "board.NEUTRAL",
      park: [],
      ground: "G",
    },
    cautions: [],
  },
};
