import type { Compartment, Device } from "../compartment";
import {
  blade,
  contact,
  DOOR_SWITCH,
  DOOR_TO_BOARD,
  disconnect,
  GROUND_STUD,
  SUPPLY_115,
  screw,
  singleCapacitor,
} from "./build";

const CAUTIONS = [
  "A wrong blower speed overheats the heat exchanger: check the temperature rise against the plate.",
  "The door switch is never defeated.",
];

/**
 * A blower's control board: a hot terminal for each call, fed through the door switch; neutrals; places to park. Its
 * relays bar one another: a call further down the list yields to those before it.
 */
function board(calls: readonly (readonly [terminal: string, call: string])[], parks: number): Device {
  return {
    id: "board",
    name: "board",
    terminals: [
      blade("board.LINE", "line", 2),
      ...calls.map(([terminal]) => blade(`board.${terminal}`, "call", 2)),
      ...Array.from({ length: parks }, (_, i) => blade(`board.PARK${i + 1}`, "park", 1)),
      blade("board.NEUTRAL", "neutral", 5),
    ],
    parts: [
      contact("neutral-bank", "N", "board.NEUTRAL", "always"),
      ...calls.map(([terminal, call], i) =>
        contact(`board.${terminal}-relay`, "board.LINE", `board.${terminal}`, [call], {
          opensOn: calls.slice(0, i).map(([, before]) => before),
        }),
      ),
    ],
  };
}

/** The thermostat strip beside the board: each terminal stands at R's volts while its call stands. */
function strip(calls: Readonly<Record<string, readonly string[]>>): Device {
  return {
    id: "strip",
    name: "thermostat strip",
    terminals: ["R", "C", ...Object.keys(calls)].map((t) => screw(`strip.${t}`, "control", 2)),
    parts: Object.entries(calls).map(([t, on]) =>
      contact(`strip.${t.toLowerCase()}`, "strip.R", `strip.${t}`, [...on]),
    ),
  };
}

const SUPPLY: Compartment["supply"] = {
  ...SUPPLY_115,
  control: { volts: 24, hot: "strip.R", common: "strip.C" },
};

/** One stage: heating, cooling, continuous fan. */
export const furnaceBoard: Compartment = {
  id: "furnace-board",
  title: "Furnace board, one stage",
  supply: SUPPLY,
  devices: [
    disconnect(["L", "N"], true),
    DOOR_SWITCH,
    board(
      [
        ["COOL", "cool"],
        ["HEAT", "heat"],
        ["FAN", "fan"],
      ],
      3,
    ),
    strip({ W: ["heat"], Y: ["cool"], G: ["cool", "fan"] }),
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
  cautions: CAUTIONS,
};

/** Two stages of heating and of cooling. */
export const furnaceBoardTwoStage: Compartment = {
  ...furnaceBoard,
  id: "furnace-board-two-stage",
  title: "Furnace board, two-stage",
  devices: [
    disconnect(["L", "N"], true),
    DOOR_SWITCH,
    board(
      [
        ["COOL-HIGH", "cool-high"],
        ["COOL-LOW", "cool-low"],
        ["HEAT-HIGH", "heat-high"],
        ["HEAT-LOW", "heat-low"],
      ],
      3,
    ),
    strip({
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
    ...furnaceBoard.offers,
    feeds: [
      { call: "cool-high", hot: "board.COOL-HIGH", want: "fastest" },
      { call: "cool-low", hot: "board.COOL-LOW", want: "middle" },
      { call: "heat-high", hot: "board.HEAT-HIGH", want: "middle" },
      { call: "heat-low", hot: "board.HEAT-LOW", want: "slowest" },
    ],
  },
};
