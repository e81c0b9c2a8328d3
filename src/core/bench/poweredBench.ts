import { CAUSES } from "../proving/causes";
import { provingCase } from "../proving/provingCase";
import type { ProvingSheet } from "../proving/provingSheet";
import type { Refused } from "../quantity/fault";
import type { BENCH_FAULTS } from "./benchFaults";
import { drawnFault } from "./drawnFault";
import { type PoweredMachine, poweredMachine } from "./poweredMachine";
import { seededRandom, shuffled } from "./random";

/**
 * A virtual machine on the wiring of a proving sheet: its motor as planned, with iron, load and supply of its own, sound
 * or with one fault that is not told; the same sheet and seed are the same machine.
 */
export function poweredBench(
  sheet: Pick<ProvingSheet, "motor" | "wiring" | "load">,
  seed: number,
  wanted: (typeof BENCH_FAULTS)[number],
): { readonly ok: true; readonly machine: PoweredMachine } | Refused {
  const proved = provingCase(sheet);
  if (!proved.ok) return proved;
  const { motor, fitted, plan, capacitors } = proved.case;
  const random = seededRandom(seed);
  const powered = { plan, built: { motor, truth: fitted }, random, capacitors };
  const serving = capacitors.filter(({ serves }) => serves).map(({ at }) => at);
  const faults = CAUSES.filter((cause) => cause !== "unknown" && cause !== "as-planned");
  const drawn = wanted === "none" ? [] : shuffled(random, faults);
  const fault = drawn.map((cause) => drawnFault(powered, cause, serving)).find((one) => one !== null);
  return {
    ok: true,
    machine: poweredMachine(powered, fault ?? { cause: "as-planned", at: [], degree: 0 }),
  };
}
