import type { Compartment } from "../compartment";
import { contact, disconnect, GROUND_STUD, SUPPLY_460, screw } from "./build";

const LOADS = [1, 2, 3] as const;

/** A three-pole contactor. */
export const threePhaseContactor: Compartment = {
  id: "three-phase-contactor",
  title: "Three-phase contactor",
  supply: SUPPLY_460,
  devices: [
    disconnect(["L1", "L2", "L3"]),
    {
      id: "contactor",
      name: "contactor",
      terminals: LOADS.map((n) => screw(`contactor.T${n}`, "load", 2)),
      parts: LOADS.map((n) => contact(`contactor.pole-${n}`, `L${n}`, `contactor.T${n}`, ["run"])),
    },
    GROUND_STUD,
  ],
  wires: [],
  calls: [{ id: "run", name: "Run" }],
  offers: {
    feeds: [{ call: "run", hot: "contactor.T1", want: "fastest" }],
    back: "contactor.T2",
    lines: ["contactor.T1", "contactor.T2", "contactor.T3"],
    park: [],
    ground: "G",
  },
  cautions: [],
};

/** A starter: contactor and overload relay, whose heaters sit in all three lines. */
export const threePhaseStarter: Compartment = {
  ...threePhaseContactor,
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
};
