import type { Branch } from "../machine/circuit";
import { abs, sub, ZERO } from "../machine/complex";
import { solve } from "../machine/solve";
import { fault, type Refused, refused } from "../quantity/fault";
import type { VoltRange } from "../quantity/volts";
import { type CheckFinding, finding, gravestFirst } from "./check/finding";
import { frameFindings } from "./check/frame";
import { guardFindings } from "./check/guards";
import { placesFindings } from "./check/places";
import { shortFindings } from "./check/shorts";
import { CAPPED, type Compartment } from "./compartment";
import { FRAME, type Jumper, type WiringPlan } from "./plan";
import { type EquipmentState, type Hung, type StateCircuit, stateCircuit, statesOf } from "./stateCircuit";

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
const HARNESS_JUNCTION = "retrofit";

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

/**
 * Lands an electronic retrofit: constant line power taken before any relay, its run signal from the old fan-speed
 * terminals tied together (with one call in use, that one alone), its speeds from the thermostat strip with its common.
 * A strip without a terminal for a speed leaves that lead capped.
 */
export function planRetrofit(
  made: Compartment,
): { readonly ok: true; readonly plans: readonly WiringPlan[] } | Refused {
  const line = made.devices
    .flatMap(({ terminals }) => terminals)
    .find(({ kind, id }) => kind === "line" && !made.supply.terminals.includes(id));
  if (!line)
    return refused(
      fault(
        "no-constant-power",
        "This equipment has no terminal with constant line power after the door switch.",
        ["compartment"],
      ),
    );
  if (!made.supply.control)
    return refused(
      fault("no-strip", "An electronic retrofit wants a thermostat strip of 24 V; this equipment has none.", [
        "compartment",
      ]),
    );
  const byName = new Map(
    made.devices.flatMap(({ terminals }) =>
      terminals.filter(({ kind }) => kind === "control").map((t) => [t.name, t.id]),
    ),
  );
  const landings: Record<string, string> = {
    [FRAME]: made.offers.ground,
    "power-1": line.id,
    "power-2": made.offers.back,
  };
  const reasons: Record<string, string> = {
    [FRAME]: "Frame ground first, lines last.",
    "power-1": "Constant power, after the door switch and before any relay.",
    "power-2": "The return of the constant power.",
  };
  const hots = made.offers.feeds.map(({ hot }) => hot);
  landings.run = hots[0] ?? CAPPED;
  reasons.run =
    hots.length > 1
      ? "Run signal: the old fan-speed terminals are tied together, so that every call runs it."
      : "Run signal: the one call in use.";
  const jumpers: Jumper[] = hots
    .slice(1)
    .map((hot, i) => ({ id: `jumper-${hots[i]}-${hot}`, from: hots[i] ?? "", to: hot }));
  for (const { id, name, strip } of HARNESS) {
    if (!strip) continue;
    const terminal = strip.map((one) => byName.get(one)).find((one) => one !== undefined);
    landings[id] = terminal ?? CAPPED;
    reasons[id] = terminal
      ? id === "low-common"
        ? "The 24-V common: without it no speed lead says anything."
        : `The strip’s ${strip[0]} says ${name}.`
      : "The strip has no such terminal: capped on its own.";
  }
  return {
    ok: true,
    plans: [
      {
        id: "retrofit",
        title: `${made.title}`,
        school: "",
        compartment: made,
        landings,
        jumpers,
        removed: [],
        capacitors: [],
        wanted: made.calls.map(({ id }) => ({ call: id, speed: 1, reversed: false })),
        setting: "high",
        reasons,
        cautions: [
          `Set its line voltage by the jumper or plug BEFORE the connectors go on: this supply is ${made.supply.volts} V.`,
          "The old run capacitor goes; no lead of the retrofit takes one.",
          "It turns both ways for up to half a minute on the first start: let it.",
          ...made.cautions,
        ],
      },
    ],
  };
}

/** A retrofit's inputs take their volts within this share. */
const VOLTS_TAKEN = 0.15;
/** Volts of a 24-V input that is called, and what it never stands. */
const LOW_CALLED = 15;
const LOW_NEVER = 40;
/** Volts of a run signal that is seen. */
const RUN_SEEN = 60;

/** What one state of the equipment puts on a retrofit's inputs. */
export interface RetrofitState {
  readonly state: EquipmentState;
  readonly circuit: StateCircuit;
  /** Volts across each input, by lead; empty where the circuit is a dead short. */
  readonly volts: ReadonlyMap<string, number>;
}

/**
 * The check of a retrofit's plan: power there in every state, run signal and speeds with their calls, no line volts on a
 * 24-V input, a supply that it can be set for.
 *
 * @param plated the volts its plate names, one range for each setting; none where no plate says.
 */
export function checkRetrofit(
  plan: WiringPlan,
  plated: readonly VoltRange[] = [],
): {
  readonly weight: CheckFinding["weight"];
  readonly findings: readonly CheckFinding[];
  readonly states: readonly RetrofitState[];
} {
  const hung = hungRetrofit();
  const inState = (state: EquipmentState): RetrofitState => {
    const circuit = stateCircuit(plan, hung, state);
    const solution = circuit.shorted.length > 0 ? null : solve(circuit.machine, 1);
    const node = (lead: string) => solution?.nodes.get(circuit.nodeOf(`${HARNESS_JUNCTION}:${lead}`)) ?? ZERO;
    const across = (lead: string, to: string) => abs(sub(node(lead), node(to)));
    return {
      state,
      circuit,
      volts: new Map(
        solution
          ? [
              ["power-1", across("power-1", "power-2")],
              ["run", across("run", "power-2")],
              ...HARNESS.filter(({ harness }) => harness === "low-volt").map(({ id }): [string, number] => [
                id,
                id === "low-common" ? abs(node(id)) : across(id, "low-common"),
              ]),
            ]
          : [],
      ),
    };
  };
  const states = statesOf(plan.compartment).map(inState);
  const findings = [
    ...states.flatMap(({ state, circuit }) => shortFindings({ state, circuit }, plan)),
    ...powerFindings(plan, states),
    ...signalFindings(plan, states),
    ...guardFindings(plan, (state) => {
      const { volts } = inState(state);
      if (volts.size === 0) return null;
      const still = Math.max(volts.get("power-1") ?? 0, volts.get("run") ?? 0);
      return still > RUN_SEEN ? `${Math.round(still)} V still reach the module` : "";
    }),
    ...frameFindings(
      states.map(({ circuit }) => circuit),
      plan,
      false,
    ),
    ...placesFindings(plan),
    ...settingFindings(plan, plated),
  ];
  const sorted = gravestFirst(findings);
  return { weight: sorted[0]?.weight ?? "good", findings: sorted, states };
}

/** Volts of the supply beside the plate's that a module takes (ten per cent, as for motors: NEMA MG 1). */
const SUPPLY_NEAR = 0.105;

function settingFindings({ compartment: made }: WiringPlan, plated: readonly VoltRange[]): CheckFinding[] {
  const { volts } = made.supply;
  const fits = plated.some(
    ({ low, high }) => volts >= low * (1 - SUPPLY_NEAR) && volts <= high * (1 + SUPPLY_NEAR),
  );
  if (fits || plated.length === 0) return [];
  return [
    finding({
      code: "setting",
      weight: "stop",
      leads: ["power-1", "power-2"],
      says: `The supply is ${volts} V and the retrofit’s plate names ${plated.map(({ low, high }) => (low === high ? `${low}` : `${low}–${high}`)).join(" or ")} V: no jumper or plug sets it for this supply.`,
      mend: "Another retrofit, of this supply’s volts.",
    }),
  ];
}

function powerFindings({ compartment: made }: WiringPlan, states: readonly RetrofitState[]): CheckFinding[] {
  const { volts } = made.supply;
  const off = states.filter(
    (s) => s.volts.size > 0 && Math.abs((s.volts.get("power-1") ?? 0) / volts - 1) > VOLTS_TAKEN,
  );
  if (off.length === 0)
    return states.some((s) => s.volts.size > 0)
      ? [
          finding({
            code: "runs-right",
            weight: "good",
            says: `Constant power: ${Math.round(volts)} V in every state.`,
            mend: "",
          }),
        ]
      : [];
  const least = Math.min(...off.map((s) => s.volts.get("power-1") ?? 0));
  return [
    finding({
      code: "power-interrupted",
      weight: "stop",
      leads: ["power-1", "power-2"],
      state: off[0]?.state.id ?? null,
      says: `Its power stands at ${Math.round(least)} V in ${off.map(({ state }) => state.name.toLowerCase()).join(", ")} where ${volts} V belong: the module resets at each call, or burns.`,
      mend: "Power from a terminal that no relay breaks, and the return on the neutral.",
    }),
  ];
}

function signalFindings(plan: WiringPlan, states: readonly RetrofitState[]): CheckFinding[] {
  const findings: CheckFinding[] = [];
  const fed = new Set(plan.compartment.offers.feeds.map(({ call }) => call));
  for (const { state, volts } of states) {
    if (volts.size === 0) continue;
    const low = HARNESS.filter(({ harness, id }) => harness === "low-volt" && id !== "low-common");
    const burnt = [...low, ...HARNESS.filter(({ id }) => id === "low-common")].filter(
      ({ id }) => (volts.get(id) ?? 0) > LOW_NEVER,
    );
    if (burnt.length > 0)
      findings.push(
        finding({
          code: "control-volts",
          weight: "stop",
          state: state.id,
          leads: burnt.map(({ id }) => id),
          says: `${state.name}: ${Math.round(Math.max(...burnt.map(({ id }) => volts.get(id) ?? 0)))} V on a 24-V input: the module burns.`,
          mend: "Low-voltage leads on the thermostat strip alone, their common on its C.",
        }),
      );
    const runs = (volts.get("run") ?? 0) > RUN_SEEN;
    const calling = state.calls.some((call) => fed.has(call));
    const spoken = low.filter(
      ({ id }) => (volts.get(id) ?? 0) > LOW_CALLED && (volts.get(id) ?? 0) <= LOW_NEVER,
    );
    if (calling && !runs)
      findings.push(
        finding({
          code: "nothing-runs",
          weight: "stop",
          state: state.id,
          leads: ["run"],
          says: `${state.name}: no run signal reaches the module: the blower stands still.`,
          mend: "Run signal from the fan-speed terminals, all of them tied together.",
        }),
      );
    else if (!calling && state.calls.length === 0 && runs)
      findings.push(
        finding({
          code: "runs-uncalled",
          weight: "stop",
          state: state.id,
          leads: ["run"],
          says: `${state.name}: the run signal stands with no call for it: the blower never stops.`,
          mend: "Run signal from a terminal that its relay switches.",
        }),
      );
    if (state.calls.length === 0 && spoken.length > 0)
      findings.push(
        finding({
          code: "runs-uncalled",
          weight: "again",
          state: state.id,
          leads: spoken.map(({ id }) => id),
          says: `${state.name}: a speed lead stands at 24 V with no call.`,
          mend: "Speed leads on the strip’s call terminals, not on R.",
        }),
      );
    if (state.calls.length > 0)
      findings.push(
        spoken.length > 0
          ? finding({
              code: "runs-right",
              weight: "good",
              state: state.id,
              leads: spoken.map(({ id }) => id),
              says: `${state.name}: ${runs ? "run signal and " : "by "}${spoken.map(({ name }) => name).join(", ")}.`,
              mend: "",
            })
          : finding({
              code: "nothing-runs",
              weight: "again",
              state: state.id,
              leads: low.map(({ id }) => id),
              says: `${state.name}: no speed lead is called: it runs at its own idea of a speed, or not at all.`,
              mend: "The speed lead of this call on its terminal of the strip; the common on C.",
            }),
      );
  }
  return findings;
}

/** What a lead of the harness is called. */
export function harnessName(lead: string): string {
  return lead === FRAME ? "frame ground" : (HARNESS.find(({ id }) => id === lead)?.name ?? lead);
}
