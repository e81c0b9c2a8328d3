import type { Equipment } from "../equipmentEntry";
import { blade, contact, disconnect, GROUND_STUD, SUPPLY_115 } from "./parts";

/** One main or the other of a pole-changing motor; the start winding is fed in both places of the switch. */
export const twoSpeedSwitch: Equipment = {
  place: 130,
  meantFor: [{ family: "two-speed-two-main", leads: [4, 5], practised: true }],
  made: {
    id: "two-speed-switch",
    title: "Two-speed switch",
    supply: SUPPLY_115,
    devices: [
      disconnect(["L", "N"], true),
      {
        id: "switch",
        name: "two-speed switch",
        terminals: [
          blade("switch.FAST", "call", 2),
          blade("switch.SLOW", "call", 2),
          blade("switch.START", "start", 2),
          blade("switch.N", "neutral", 4),
        ],
        parts: [
          contact("switch.fast", "L", "switch.FAST", ["fast"]),
          contact("switch.slow", "L", "switch.SLOW", ["slow"]),
          contact("switch.start", "L", "switch.START", ["fast", "slow"]),
          contact("switch.neutral", "N", "switch.N", "always"),
        ],
      },
      GROUND_STUD,
    ],
    wires: [],
    calls: [
      { id: "fast", name: "Fast" },
      { id: "slow", name: "Slow" },
    ],
    // One lever: its positions exclude one another.
    together: [],
    offers: {
      feeds: [
        { call: "fast", hot: "switch.FAST", want: "fastest" },
        { call: "slow", hot: "switch.SLOW", want: "slowest" },
      ],
      back: "switch.N",
      park: [],
      ground: "G",
      start: "switch.START",
    },
    cautions: [],
  },
};
