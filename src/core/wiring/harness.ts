import type { Branch } from "../machine/circuit";
import { FRAME } from "./plan";
import type { Hung } from "./stateCircuit";

/** A lead of an electronic retrofit's three harnesses: power, run signal, low-voltage speeds. */
export interface HarnessLead {
  readonly id: string;
  readonly name: string;
  readonly harness: "power" | "run" | "low-volt";
  /** Terminals of a thermostat strip it goes to, by their names, first choice first. */
  readonly strip?: readonly string[];
}

/** The three harnesses as such retrofits have them. */
export const HARNESS: readonly HarnessLead[] = [
  { id: "power-1", name: "power, line", harness: "power" },
  { id: "power-2", name: "power, return", harness: "power" },
  { id: "run", name: "run signal", harness: "run" },
  { id: "low-common", name: "24-V common", harness: "low-volt", strip: ["C"] },
  { id: "low-cool", name: "cooling speed", harness: "low-volt", strip: ["Y"] },
  { id: "low-heat", name: "heating speed", harness: "low-volt", strip: ["W"] },
  { id: "low-heat-2", name: "second heating speed", harness: "low-volt", strip: ["W2"] },
  { id: "low-fan", name: "continuous fan", harness: "low-volt", strip: ["G"] },
];

/** Input resistances: the rectifier at rest, the run signal's sense, a 24-V input. They only make volts to be measured. */
const POWER_OHMS = 400;
const RUN_OHMS = 20_000;
const LOW_OHMS = 2_000;
/** Prefix of the junction that a lead of the harness ends on. */
export const HARNESS_JUNCTION = "retrofit";

/** What hangs on the equipment: three kinds of input, each a resistance to its own return. */
export function hungRetrofit(): Hung {
  const input = (id: string, to: string, ohms: number): Branch => ({
    kind: "resistor",
    id: `input:${id}`,
    from: `${HARNESS_JUNCTION}:${id}`,
    to: `${HARNESS_JUNCTION}:${to}`,
    ohms,
  });
  return {
    leads: HARNESS.map(({ id }) => ({ id, junction: `${HARNESS_JUNCTION}:${id}` })),
    branches: HARNESS.flatMap(({ id, harness }) => {
      if (id === "power-2" || id === "low-common") return [];
      if (harness === "low-volt") return [input(id, "low-common", LOW_OHMS)];
      return [input(id, "power-2", harness === "run" ? RUN_OHMS : POWER_OHMS)];
    }),
    fields: [],
    contacts: [],
    frictionNm: 0,
  };
}

/** What a lead of the harness is called. */
export function harnessName(lead: string): string {
  return lead === FRAME ? "frame ground" : (HARNESS.find(({ id }) => id === lead)?.name ?? lead);
}
