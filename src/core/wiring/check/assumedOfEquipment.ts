import { assumed, computed } from "../../quantity/source";
import type { VoltRange } from "../../quantity/volts";
import type { ModulePlan, WiringPlan } from "../plan";
import type { Assumption, EffectOf } from "./assumption";
import { OTHER_CAPACITY, type Otherwise, withParts } from "./otherwise";

/** Relays of one make pick up over a range about as wide as this, of what this motor needs. */
const OTHER_PICK_UP = [0.5, 0.7, 1.4, 2] as const;

/** What starts it from outside, as far as nobody stated it: run with other capacitors, and with other relays. */
export function startGearUnstated(taken: Otherwise, effectOf: EffectOf): Assumption[] {
  const { plan, run } = taken;
  if (plan.lands.startOut !== "equipment") return [];
  const parts = plan.compartment.devices.flatMap((device) => device.parts);
  const capacitor = parts.some((part) => part.kind === "capacitor" && part.start && !part.stated);
  const relay = parts.some((part) => part.kind === "potential-relay" && !part.stated);
  return [
    ...(capacitor && !run.fitted.rating.startPlated
      ? [
          {
            code: "start-gear" as const,
            short: "the start capacitor",
            says: "Nobody has said what start capacitor stands there, and no plate says what the motor takes: the value here is an estimate. Another band starts weak or burns the start winding.",
            source: assumed("figured from the windings"),
            effect: effectOf(
              OTHER_CAPACITY.map((times) =>
                withParts(taken, (part) =>
                  part.kind === "capacitor" && part.start && !part.stated
                    ? { ...part, microfarads: part.microfarads * times }
                    : part,
                ),
              ),
            ),
            fact: "Type the start capacitor’s label in the equipment, or the plate’s band in Plate.",
            leads: [],
          },
        ]
      : []),
    ...(relay
      ? [
          {
            code: "start-gear" as const,
            short: "the relay’s pick-up",
            says: "Nobody has said what the relay picks up at: it is run here as the motor needs it. One that picks up too late leaves the start capacitor in until the start winding burns; one too early starts weak.",
            source: computed("coil volts of the machine model at three quarters of speed"),
            effect: effectOf(
              OTHER_PICK_UP.map((times) =>
                withParts(taken, (part) =>
                  part.kind === "potential-relay" && !part.stated
                    ? {
                        ...part,
                        pickUpVolts: part.pickUpVolts * times,
                        dropOutVolts: part.dropOutVolts * times,
                      }
                    : part,
                ),
              ),
            ),
            fact: "See the relay’s own number against its maker’s list, and type its pick-up and drop-out volts in the equipment.",
            leads: [],
          },
        ]
      : []),
  ];
}

/** Equipment that says nothing of which calls can stand at once, where two of them would do harm. */
export function callsUnstated(
  { compartment: { calls, together } }: WiringPlan,
  effectOf: () => Assumption["effect"],
): Assumption[] {
  if (calls.length < 2 || together !== undefined || effectOf() === "figures") return [];
  return [
    {
      code: "calls-unstated",
      short: "no two calls at once",
      says: "This equipment does not say which of its calls can stand at once. Run with any two of them, the motor burns, hums or starts weak: two taps are fed.",
      source: assumed("the equipment names none"),
      effect: "stop",
      fact: "By the board’s own diagram, and what the thermostat can call: say which can meet, or that none can, under “Calls and where they are hot” in Trace.",
      leads: [],
    },
  ];
}

/**
 * A retrofit's module whose jumper nobody looked at: tried at each of the volts that its plate names.
 *
 * @param plated the volts its plate names, one range for each setting.
 */
export function jumperUnseen(
  plan: ModulePlan,
  plated: readonly VoltRange[],
  effectOf: (others: readonly ModulePlan[]) => Assumption["effect"],
): Assumption[] {
  if (plated.length < 2 || plan.lands.setFor !== null) return [];
  return [
    {
      code: "setting-unknown",
      short: "the module’s jumper",
      says: `Nobody has said what its jumper or plug is set for; the list sets it for ${Math.round(plan.compartment.supply.volts)} V. Set for another its electronics burn at the first power, or it runs weak.`,
      source: assumed("set by the first step of the list"),
      effect: effectOf(plated.map(({ high }) => ({ ...plan, lands: { ...plan.lands, setFor: high } }))),
      fact: "Look at the jumper before its connectors go on, and say how it stands.",
      leads: ["power-1", "power-2"],
    },
  ];
}
