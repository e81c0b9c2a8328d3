import type { Equipment } from "../equipmentEntry";
import {
  BLOWER_CAUTIONS,
  controlBoard,
  DOOR_SWITCH,
  DOOR_TO_BOARD,
  disconnect,
  GROUND_STUD,
  SUPPLY_115_CONTROL,
  singleCapacitor,
  thermostatStrip,
} from "./parts";

/** One stage: heating, cooling, continuous fan. */
export const furnaceBoard: Equipment = {
  place: 40,
  meantFor: [{ family: "two-winding", leads: [6], practised: true }],
  made: {
    id: "furnace-board",
    title: "Furnace board, one stage",
    supply: SUPPLY_115_CONTROL,
    devices: [
      disconnect(["L", "N"], true),
      DOOR_SWITCH,
      controlBoard(
        [
          ["COOL", "cool"],
          ["HEAT", "heat"],
          ["FAN", "fan"],
        ],
        3,
      ),
      thermostatStrip({ W: ["heat"], Y: ["cool"], G: ["cool", "fan"] }),
      singleCapacitor("capacitor", 10, 440),
      GROUND_STUD,
    ],
    wires: [DOOR_TO_BOARD],
    calls: [
      { id: "cool", name: "Cooling" },
      { id: "heat", name: "Heating" },
      { id: "fan", name: "Continuous fan" },
    ],
    together: [
      ["cool", "fan"],
      ["heat", "fan"],
    ],
    offers: {
      feeds: [
        { call: "cool", hot: "board.COOL", want: "fastest" },
        { call: "heat", hot: "board.HEAT", want: "middle" },
        { call: "fan", hot: "board.FAN", want: "slowest" },
      ],
      back: "board.NEUTRAL",
      park: ["board.PARK1", "board.PARK2", "board.PARK3"],
      ground: "G",
      capacitor: {
        device: "capacitor",
        startSide: "capacitor.2",
        lineSide: "capacitor.1",
        tied: false,
        dual: false,
      },
    },
    cautions: BLOWER_CAUTIONS,
  },
};
