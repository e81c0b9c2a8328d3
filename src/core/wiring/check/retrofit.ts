import { abs, sub, ZERO } from "../../machine/complex";
import { solve } from "../../machine/solve";
import type { VoltRange } from "../../quantity/volts";
import type { Compartment } from "../compartment";
import { HARNESS, HARNESS_JUNCTION, type HarnessLead, hungRetrofit } from "../harness";
import { CAPPED } from "../place";
import type { ModulePlan } from "../plan";
import {
  type EquipmentState,
  NOTHING_HUNG,
  type StateCircuit,
  stateCircuit,
  statesOf,
} from "../stateCircuit";
import { retrofitAssumptions } from "./assumed";
import { type Assumption, assumedFindings } from "./assumption";
import { controlSideFindings } from "./controlSide";
import { type CheckFinding, finding, gravestFirst } from "./finding";
import { frameFindings } from "./frame";
import { guardFindings } from "./guards";
import { VOLTS_TAKEN } from "./outcome";
import { placesFindings } from "./places";
import { shortFindings } from "./shorts";
import { onGround } from "./structure";

/** A retrofit's power input takes its volts within this share. */
const POWER_TAKEN = 0.15;
/** Volts of a 24-V input that is called, and what it never stands. */
const LOW_CALLED = 15;
const LOW_NEVER = 40;
/** Volts of a run signal that is seen. */
const RUN_SEEN = 60;

/** What one state of the equipment puts on a retrofit's inputs. */
export interface RetrofitState {
  readonly state: EquipmentState;
  readonly circuit: StateCircuit;
  /** The equipment by itself in this state, before a lead or jumper of the plan is on it: what it means to call. */
  readonly alone: StateCircuit;
  /** Volts across each input, by lead; empty where the circuit is a dead short. */
  readonly volts: ReadonlyMap<string, number>;
}

/** Leads made for 24 volts. */
const SPEED_SIDE = new Set(HARNESS.filter(({ harness }) => harness === "low-volt").map(({ id }) => id));
const SPEEDS = HARNESS.filter(({ harness, id }) => harness === "low-volt" && id !== "low-common");

/**
 * The check of a retrofit's plan: its inputs stand in the circuit of the equipment, which is run in every state. Power
 * there in all of them; a run signal with every call that can give one; just the speeds called whose terminals on the
 * strip are; no line volts on a 24-V input; a supply that it is set for.
 *
 * @param plated the volts its plate names, one range for each setting; none where no plate says.
 */
export function checkRetrofit(
  plan: ModulePlan,
  plated: readonly VoltRange[] = [],
): {
  readonly weight: CheckFinding["weight"];
  readonly findings: readonly CheckFinding[];
  readonly states: readonly RetrofitState[];
  /** What nobody stated and the verdict stands on. */
  readonly assumes: readonly Assumption[];
} {
  const assumes = retrofitAssumptions(
    plan,
    plated,
    (other) => foundOn(other, plated).findings.filter(({ weight }) => weight === "stop").length,
  );
  const { states, findings: found } = foundOn(plan, plated);
  const findings = gravestFirst([...found, ...assumedFindings(assumes)]);
  return { weight: findings[0]?.weight ?? "good", findings, states, assumes };
}

/** What is found by running a plan in every state, whatever it assumes. */
function foundOn(
  plan: ModulePlan,
  plated: readonly VoltRange[],
): { readonly states: readonly RetrofitState[]; readonly findings: readonly CheckFinding[] } {
  const states = statesOf(plan.compartment).map((state) => runRetrofit(plan, state));
  const findings = [
    ...states.flatMap(({ state, circuit }) => shortFindings({ state, circuit }, plan)),
    ...powerFindings(plan, states),
    ...states.flatMap((one) => [...burnt(one), ...runSignal(plan, one), ...speedSignals(plan, one)]),
    ...guardFindings(plan, (state) => {
      const { volts } = runRetrofit(plan, state);
      if (volts.size === 0) return null;
      const still = Math.max(volts.get("power-1") ?? 0, volts.get("run") ?? 0);
      return still > RUN_SEEN ? `${Math.round(still)} V still reach the module` : "";
    }),
    ...frameFindings(
      states.map(({ circuit }) => circuit),
      plan,
      false,
    ),
    ...onGround(plan),
    ...placesFindings(plan),
    ...controlSideFindings(plan, (lead) => SPEED_SIDE.has(lead)),
    ...settingFindings(plan, plated),
  ];
  return { states, findings };
}

function runRetrofit(plan: ModulePlan, state: EquipmentState): RetrofitState {
  const circuit = stateCircuit(plan, hungRetrofit(), state);
  const solution = circuit.shorted.length > 0 ? null : solve(circuit.machine, 1);
  const node = (lead: string) => solution?.nodes.get(circuit.nodeOf(`${HARNESS_JUNCTION}:${lead}`)) ?? ZERO;
  const across = (lead: string, to: string) => abs(sub(node(lead), node(to)));
  const inputs: [string, number][] = [
    ["power-1", across("power-1", "power-2")],
    ["run", across("run", "power-2")],
    ["low-common", abs(node("low-common"))],
    ...SPEEDS.map(({ id }): [string, number] => [id, across(id, "low-common")]),
  ];
  const bare = { compartment: plan.compartment, landings: {}, jumpers: [] };
  const alone = stateCircuit(bare, NOTHING_HUNG, state);
  return { state, circuit, alone, volts: new Map(solution ? inputs : []) };
}

function settingFindings(plan: ModulePlan, plated: readonly VoltRange[]): CheckFinding[] {
  const { volts } = plan.compartment.supply;
  const near = (one: number) => Math.abs(volts / one - 1) <= VOLTS_TAKEN;
  const fits = plated.some(
    ({ low, high }) => volts >= low * (1 - VOLTS_TAKEN) && volts <= high * (1 + VOLTS_TAKEN),
  );
  const set = plan.lands.setFor;
  return [
    ...(plated.length === 0 || fits
      ? []
      : [
          finding({
            code: "setting",
            weight: "stop",
            leads: ["power-1", "power-2"],
            says: `The supply is ${Math.round(volts)} V and the retrofit’s plate names ${plated.map(({ low, high }) => (low === high ? `${low}` : `${low}–${high}`)).join(" or ")} V: no jumper or plug sets it for this supply.`,
            mend: "Another retrofit, of this supply’s volts.",
          }),
        ]),
    ...(set === null || near(set)
      ? []
      : [
          finding({
            code: "setting",
            weight: "stop",
            leads: ["power-1", "power-2"],
            says: `Its jumper is set for ${set} V and the supply is ${Math.round(volts)} V: ${volts > set ? "its electronics burn at the first power" : "it runs weak, or not at all"}.`,
            mend: `Set the jumper or plug for ${Math.round(volts)} V, before the connectors go on.`,
          }),
        ]),
  ];
}

function powerFindings({ compartment: made }: ModulePlan, states: readonly RetrofitState[]): CheckFinding[] {
  const { volts } = made.supply;
  const run = states.filter((s) => s.volts.size > 0);
  const off = run.filter((s) => Math.abs((s.volts.get("power-1") ?? 0) / volts - 1) > POWER_TAKEN);
  if (run.length === 0) return [];
  if (off.length === 0)
    return [
      finding({
        code: "runs-right",
        weight: "good",
        says: `Constant power: ${Math.round(volts)} V in every state.`,
        mend: "",
      }),
    ];
  const least = Math.min(...off.map((s) => s.volts.get("power-1") ?? 0));
  return [
    finding({
      code: "power-interrupted",
      weight: "stop",
      leads: ["power-1", "power-2"],
      state: off[0]?.state.id ?? null,
      says: `Its power stands at ${Math.round(least)} V with ${off.map(({ state }) => state.name.toLowerCase()).join(", ")} where ${Math.round(volts)} V belong: the module resets at each call, or burns.`,
      mend: "Power from a terminal that no relay breaks, and the return on the neutral.",
    }),
  ];
}

/** Line volts on an input made for 24. */
function burnt({ state, volts }: RetrofitState): CheckFinding[] {
  const low = HARNESS.filter(({ harness, id }) => harness === "low-volt" && (volts.get(id) ?? 0) > LOW_NEVER);
  if (low.length === 0) return [];
  return [
    finding({
      code: "control-volts",
      weight: "stop",
      state: state.id,
      leads: low.map(({ id }) => id),
      says: `${state.name}: ${Math.round(Math.max(...low.map(({ id }) => volts.get(id) ?? 0)))} V on a 24-V input: the module burns.`,
      mend: "Low-voltage leads on the thermostat strip alone, their common on its C.",
    }),
  ];
}

/** Whether the run signal comes with every call that can give one, and with no other. */
function runSignal(
  { compartment: made }: ModulePlan,
  { state, alone, volts }: RetrofitState,
): CheckFinding[] {
  if (volts.size === 0) return [];
  const lines = new Set(made.supply.terminals.map(alone.nodeOf));
  const given = made.offers.feeds.some(({ hot }) => lines.has(alone.nodeOf(hot)));
  const seen = (volts.get("run") ?? 0) > RUN_SEEN;
  if (given && !seen)
    return [
      finding({
        code: "nothing-runs",
        weight: "stop",
        state: state.id,
        leads: ["run"],
        says: `${state.name}: no run signal reaches the module: the blower stands still.`,
        mend: "Run signal from the fan-speed terminals, all of them tied together.",
      }),
    ];
  if (!given && seen)
    return [
      finding({
        code: "runs-uncalled",
        weight: "stop",
        state: state.id,
        leads: ["run"],
        says: `${state.name}: the run signal stands though no fan-speed terminal is live: the blower never stops.`,
        mend: "Run signal from a terminal that its relay switches.",
      }),
    ];
  if (given || state.calls.length !== 1) return [];
  return [
    finding({
      code: "call-unused",
      weight: "good",
      state: state.id,
      says: `${state.name}: this board gives no run signal with it; the module does not run for it.`,
      mend: "",
    }),
  ];
}

/** Speeds that the strip calls in a state, beside those that reach the module. */
function speedSignals(plan: ModulePlan, { state, alone, volts }: RetrofitState): CheckFinding[] {
  if (volts.size === 0) return [];
  const { compartment: made } = plan;
  const is = SPEEDS.filter(({ id }) => {
    const stands = volts.get(id) ?? 0;
    return stands > LOW_CALLED && stands <= LOW_NEVER;
  });
  const right = SPEEDS.filter((lead) => called(lead, made, alone));
  const missing = right.filter((lead) => !is.includes(lead));
  const extra = is.filter((lead) => !right.includes(lead));
  const names = (leads: readonly HarnessLead[]) => leads.map(({ name }) => name).join(", ");
  if (extra.length > 0)
    return [
      finding({
        code: state.calls.length === 0 ? "runs-uncalled" : "wrong-speed",
        weight: "stop",
        state: state.id,
        leads: extra.map(({ id }) => id),
        says: `${state.name}: ${names(extra)} ${extra.length > 1 ? "are" : "is"} called where ${right.length > 0 ? `${names(right)} belongs` : "nothing belongs"}: the wrong air for this call${state.calls.length === 0 ? ", for good" : ""}.`,
        mend: "Each speed lead on its own terminal of the strip: Y cooling, W heating, W2 second heating, G fan.",
      }),
    ];
  // Continuous fan may run at the module's own speed, without a lead of its own.
  const needed = missing.filter(({ id }) => id !== "low-fan");
  if (needed.length > 0)
    return [
      finding({
        code: "wrong-speed",
        weight: "stop",
        state: state.id,
        leads: needed.map(({ id }) => id),
        says: `${state.name}: ${names(needed)} ${needed.some(({ id }) => (plan.landings[id] ?? CAPPED) !== CAPPED) ? "does not reach the module" : "is left off"}: it runs at its own idea of a speed, or not at all.`,
        mend: "The speed lead of this call on its terminal of the strip; the common on C.",
      }),
    ];
  // Without a run signal a called speed moves nothing: that is said as the call unused.
  if (state.calls.length === 0 || (volts.get("run") ?? 0) <= RUN_SEEN) return [];
  if (missing.length > 0)
    return [
      finding({
        code: "wrong-speed",
        weight: "again",
        state: state.id,
        leads: missing.map(({ id }) => id),
        says: `${state.name}: ${names(missing)} does not reach the module: it runs at a speed of its own.`,
        mend: "Where its sheet gives continuous fan a lead, land it on the strip’s G.",
      }),
    ];
  return [
    finding({
      code: "runs-right",
      weight: "good",
      state: state.id,
      leads: is.map(({ id }) => id),
      says: `${state.name}: ${is.length > 0 ? `called by ${names(is)}` : "at the module’s own speed"}.`,
      mend: "",
    }),
  ];
}

/** A lead's terminal on the strip stands at the control side's volts. */
function called({ strip = [] }: HarnessLead, made: Compartment, { nodeOf }: StateCircuit): boolean {
  const hot = made.supply.control?.hot;
  if (hot === undefined) return false;
  return made.devices.some(({ terminals }) =>
    terminals.some(
      ({ kind, name, id }) =>
        kind === "control" && strip.includes(name) && id !== hot && nodeOf(id) === nodeOf(hot),
    ),
  );
}
