import type { Equipment } from "../equipmentEntry";
import { contact, disconnect, GROUND_STUD, LOADS, screw } from "./parts";
import { threePhaseContactor } from "./threePhaseContactor";

/** A starter: contactor and overload relay, whose heaters sit in all three lines. */
export const threePhaseStarter: Equipment = {
  place: 160,
  meantFor: [
    { family: "three-phase-3", leads: [3] },
    { family: "three-phase-6", leads: [6] },
  ],
  made: {
    ...threePhaseContactor.made,
    id: "three-phase-starter",
    title: "Three-phase starter with overload",
    devices: [
      disconnect(["L1", "L2", "L3"]),
      {
        id: "starter",
        name: "starter, overload side",
        terminals: LOADS.map((n) => screw(`starter.T${n}`, "load", 2)),
        parts: LOADS.map((n) =>
          contact(`starter.pole-${n}`, `L${n}`, `starter.T${n}`, ["run"], {
            openedBy: "the overload has tripped",
          }),
        ),
      },
      GROUND_STUD,
    ],
    offers: {
      feeds: [{ call: "run", hot: "starter.T1", want: "fastest" }],
      back: "starter.T2",
      lines: ["starter.T1", "starter.T2", "starter.T3"],
      park: [],
      ground: "G",
    },
    cautions: ["The overload is set to the new motor’s plate amps."],
  },
};
