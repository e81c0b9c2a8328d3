import type { Equipment } from "../equipmentEntry";
import { furnaceBoard } from "./furnaceBoard";
import {
  controlBoard,
  DOOR_SWITCH,
  disconnect,
  GROUND_STUD,
  singleCapacitor,
  thermostatStrip,
} from "./parts";

/** Two stages of heating and of cooling. */
export const furnaceBoardTwoStage: Equipment = {
  place: 50,
  meantFor: [{ family: "two-winding", leads: [7], practised: true }],
  made: {
    ...furnaceBoard.made,
    id: "furnace-board-two-stage",
    title: "Furnace board, two-stage",
    devices: [
      disconnect(["L", "N"], true),
      DOOR_SWITCH,
      controlBoard(
        [
          ["COOL-HIGH", "cool-high"],
          ["COOL-LOW", "cool-low"],
          ["HEAT-HIGH", "heat-high"],
          ["HEAT-LOW", "heat-low"],
        ],
        3,
      ),
      thermostatStrip({
        W: ["heat-low", "heat-high"],
        W2: ["heat-high"],
        Y: ["cool-low", "cool-high"],
        Y2: ["cool-high"],
        G: ["cool-low", "cool-high"],
      }),
      singleCapacitor("capacitor", 10, 440),
      GROUND_STUD,
    ],
    calls: [
      { id: "cool-high", name: "Cooling, high" },
      { id: "cool-low", name: "Cooling, low" },
      { id: "heat-high", name: "Heating, high" },
      { id: "heat-low", name: "Heating, low" },
    ],
    // The second stage comes with the first still calling.
    together: [
      ["cool-high", "cool-low"],
      ["heat-high", "heat-low"],
    ],
    offers: {
      ...furnaceBoard.made.offers,
      feeds: [
        { call: "cool-high", hot: "board.COOL-HIGH", want: "fastest" },
        { call: "cool-low", hot: "board.COOL-LOW", want: "middle" },
        { call: "heat-high", hot: "board.HEAT-HIGH", want: "middle" },
        { call: "heat-low", hot: "board.HEAT-LOW", want: "slowest" },
      ],
    },
  },
};
