import { drawnFault } from "../bench/drawnFault";
import type { PoweredFault } from "../bench/poweredFault";
import { type PoweredMachine, poweredMachine } from "../bench/poweredMachine";
import { pick, type Random, seededRandom } from "../bench/random";
import { type CircuitCapacitor, capacitorsInCircuit } from "../proving/capacitorsInCircuit";
import type { Cause } from "../proving/causes";
import type { NextCheck } from "../proving/diagnosis";
import type { ProvingObservation } from "../proving/observation";
import type { ProvingSheetInput } from "../proving/provingSheet";
import { type EquipmentState, statesOf } from "../wiring/stateCircuit";
import { type WiringTask, wiringTask } from "./wiringTask";

/** What a learner asks for: an equipment of the list, or "surprise". */
export interface FaultWish {
  readonly equipment: string;
}

/** What whoever called says of the machine. */
export const COMPLAINTS = {
  hums: "It hums and does not start.",
  silent: "Nothing happens.",
  hot: "It runs hot and trips after ten minutes.",
  trips: "The breaker trips.",
  backward: "It is noisy and moves little air.",
  slow: "It runs slower than it used to.",
  check: "It was just landed: is it as it should be?",
} as const;
export type Complaint = keyof typeof COMPLAINTS;

/** A powered virtual machine with a complaint; what is the matter is not told. */
export interface FaultTask {
  readonly wiring: WiringTask;
  readonly calls: readonly EquipmentState[];
  readonly capacitors: readonly CircuitCapacitor[];
  readonly complaint: Complaint;
  readonly fault: PoweredFault;
  /** The same machine each time it is asked for, its instruments at their beginning. */
  readonly machine: () => PoweredMachine;
  /** The proving sheet without observations: what may be told to the diagnosis. */
  readonly sheet: ProvingSheetInput;
}

/** Causes that are practised, each drawn as often. */
export const PRACTISED_CAUSES = [
  "as-planned",
  "leads-exchanged",
  "lead-off",
  "wrong-tap",
  "capacitor-open",
  "capacitor-shorted",
  "capacitor-weak",
  "capacitor-wrong",
  "start-winding-open",
  "main-half-open",
  "start-contact-stays-open",
  "start-contact-stays-closed",
  "supply-low",
  "phase-lost",
  "volts-unbalanced",
  "shorted-turns",
  "shaft-stuck",
  "drag",
  "load-heavy",
  "turn-reversed",
] as const satisfies readonly Exclude<Cause, "unknown">[];

const MOST_DRAWS = 60;
const NEEDED = "cw-lead-end";

/** The task of a seed and a wish: the same on every machine. */
export function faultTask(seed: number, wish: FaultWish): FaultTask {
  const random = seededRandom(seed);
  for (let draw = 0; draw < MOST_DRAWS; draw++) {
    const made = drawn(random, wish);
    if (made) return made;
  }
  throw new Error(`no fault came of ${MOST_DRAWS} draws for ${wish.equipment}`);
}

function drawn(random: Random, wish: FaultWish): FaultTask | null {
  const wiring = wiringTask(Math.floor(random() * 0xffffffff), {
    task: "wire-it",
    equipment: wish.equipment,
  });
  const { motor, fitted } = wiring.run;
  const plan = {
    ...wiring.good,
    lands: { ...wiring.good.lands, turn: { needed: NEEDED, neededBy: "the blade", asDrawn: null } } as const,
  };
  const states = statesOf(plan.compartment).filter(({ calls }) => calls.length === 1);
  const calls = states.filter(({ id }) =>
    plan.wanted.some(({ call, speed }) => call === id && speed !== null),
  );
  const capacitors = capacitorsInCircuit({ plan, motor, fitted, states: calls });
  const built = { known: wiring.known, leads: wiring.leads, plate: wiring.plate, motor, truth: fitted };
  const serving = capacitors.filter(({ serves }) => serves).map(({ at }) => at);
  const fault = drawnFault({ plan, built, random, capacitors }, pick(random, PRACTISED_CAUSES), serving);
  if (!fault || calls.length === 0) return null;
  const noise = Math.floor(random() * 0xffffffff);
  const machine = () => poweredMachine({ plan, built, random: seededRandom(noise), capacitors }, fault);
  const complaint = complaintOf(machine(), calls, fitted.rating.amps, fitted.rating.rpm, wiring);
  return {
    wiring: { ...wiring, good: plan },
    calls,
    capacitors,
    complaint,
    fault,
    machine,
    sheet: {
      format: "odd-lead/proving-sheet@1",
      motor: {
        plate: { ...wiring.plate },
        identification: {
          family: wiring.family,
          roles: { ...wiring.roles },
          bonded: wiring.known.bonded.map((group) => [...group]),
          sections: wiring.known.sections.map((section) => ({
            ...section,
            between: [...section.between],
            uncertaintyOhms: 0.02 * section.ohms,
          })),
        },
        leads: wiring.leads.map((lead) => ({ ...lead })),
      },
      wiring: {
        compartment: plan.compartment,
        landings: { ...plan.landings },
        jumpers: plan.jumpers.map((wire) => ({ ...wire })),
        wanted: plan.wanted.map((want) => ({ ...want })),
        setting: plan.lands.setting,
        startOut: plan.lands.startOut,
        turn: plan.lands.turn,
      },
      load: { kind: "fan" },
    },
  };
}

/** Amps that heat a motor past what it stands, beside the plate's; a speed that is heard. */
const HOT_TIMES = 1.15;
const SLOW_SHARE = 0.96;

/** What somebody beside the machine would say, by how it runs on its first call. */
function complaintOf(
  machine: PoweredMachine,
  [first]: readonly EquipmentState[],
  amps: number,
  rpm: number,
  { leads }: WiringTask,
): Complaint {
  const call = first?.id ?? "";
  const ask = (check: NextCheck): ProvingObservation | null => machine.observe(check);
  const asked = { call, because: "", power: "on" } as const;
  const starts = ask({ what: "starts", ...asked });
  if (starts?.what === "starts" && starts.how === "hums") return "hums";
  if (starts?.what === "starts" && starts.how === "not-at-all") return "silent";
  const turn = ask({ what: "turn", ...asked });
  if (turn?.what === "turn" && (turn.seen === "cw") !== (turn.end === "lead")) return "backward";
  const most = Math.max(...leads.map(({ id }) => machine.trueAmps(call, id)));
  if (most > HOT_TIMES * amps) return "hot";
  const speed = ask({ what: "rpm", ...asked });
  return speed?.what === "rpm" && speed.rpm < SLOW_SHARE * rpm ? "slow" : "check";
}
