import { fault, type Refused, refused } from "../quantity/fault";
import { formatPower } from "../quantity/power";
import type { Compartment } from "./compartment";
import { HARNESS } from "./harness";
import { CAPPED } from "./place";
import { FRAME, type Jumper, type ModulePlan, type PartWork } from "./plan";
import { NOTHING_HUNG, stateCircuit, statesOf } from "./stateCircuit";

/**
 * Lands an electronic retrofit: constant line power taken before any relay, its run signal from the old fan-speed
 * terminals tied together (with one call in use, that one alone), its speeds from the thermostat strip with its common.
 * A strip without a terminal for a speed leaves that lead capped.
 */
export function planRetrofit(
  made: Compartment,
  module: RetrofitModule = {},
): { readonly ok: true; readonly plans: readonly ModulePlan[] } | Refused {
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
  const { run, idle } = signalled(made);
  return {
    ok: true,
    plans: [
      {
        id: "retrofit",
        title: `${made.title}`,
        school: "",
        compartment: made,
        ...harnessDown(made, line.id),
        removed: [],
        capacitors: [],
        parts: preparations(made, module),
        wanted: run.map((call) => ({ call, speed: 1, reversed: false })),
        lands: { kind: "module", setFor: module.setFor ?? null },
        cautions: [
          ...idle.map(
            (name) =>
              `${name} gives no run signal here: it stays unused, until a terminal of the board is live on it.`,
          ),
          "The old run capacitor goes; no lead of the retrofit takes one.",
          "It turns both ways for up to half a minute on the first start: let it.",
          ...made.cautions,
        ],
      },
    ],
  };
}

/** Where each lead of the harness goes, and why. */
function harnessDown(
  made: Compartment,
  constantPower: string,
): Pick<ModulePlan, "landings" | "reasons" | "jumpers"> {
  const hots = made.offers.feeds.map(({ hot }) => hot);
  const landings: Record<string, string> = {
    [FRAME]: made.offers.ground,
    "power-1": constantPower,
    "power-2": made.offers.back,
    run: hots[0] ?? CAPPED,
  };
  const reasons: Record<string, string> = {
    [FRAME]: "Frame ground first, lines last.",
    "power-1": "Constant power, after the door switch and before any relay.",
    "power-2": "The return of the constant power.",
    run:
      hots.length > 1
        ? "Run signal: the old fan-speed terminals are tied together, so that every call runs it."
        : "Run signal: the one call in use.",
  };
  const control = made.devices.flatMap(({ terminals }) => terminals.filter(({ kind }) => kind === "control"));
  for (const { id, name, strip } of HARNESS) {
    if (!strip) continue;
    const terminal = strip.flatMap((one) => control.filter((other) => other.name === one).slice(-1))[0]?.id;
    landings[id] = terminal ?? CAPPED;
    reasons[id] = terminal
      ? id === "low-common"
        ? "The 24-V common: without it no speed lead says anything."
        : `The strip’s ${strip[0]} says ${name}.`
      : "The strip has no such terminal: capped on its own.";
  }
  const jumpers = hots
    .slice(1)
    .map((hot, i): Jumper => ({ id: `jumper-${hots[i]}-${hot}`, from: hots[i] ?? "", to: hot }));
  return { landings, reasons, jumpers };
}

/** What is known of the module beside its harness. */
export interface RetrofitModule {
  /** Volts that its jumper or plug was seen set for. */
  readonly setFor?: number;
  /** Power of the old plate, watts, to choose its power lead by. */
  readonly oldWatts?: number;
}

/** What is done on the module before its connectors go on, each a step. */
function preparations(made: Compartment, { oldWatts }: RetrofitModule): PartWork[] {
  return [
    {
      device: "module-volts",
      change: "on-motor",
      does: `Set the module for ${Math.round(made.supply.volts)} V by its jumper or plug, BEFORE the connectors go on.`,
      because: "Set for 115 V on 230 its electronics burn; set for 230 on 115 it runs weak or not at all.",
    },
    {
      device: "module-power",
      change: "on-motor",
      does:
        oldWatts === undefined
          ? "Choose its power lead by the old plate’s power, or by the machine’s tons; the others are capped."
          : `Choose the power lead for ${formatPower(oldWatts)}, the old plate’s; the others are capped.`,
      because: "More power than the wheel asks for is noise and amps; less is no air.",
    },
  ];
}

/** Calls that make a fan-speed terminal live, and by name those that make none. */
function signalled(made: Compartment): { run: string[]; idle: string[] } {
  const bare = { compartment: made, landings: {}, jumpers: [] };
  const states = statesOf(made).filter(({ calls }) => calls.length === 1);
  const live = states.filter((state) => {
    const { nodeOf } = stateCircuit(bare, NOTHING_HUNG, state);
    const lines = new Set(made.supply.terminals.map(nodeOf));
    return made.offers.feeds.some(({ hot }) => lines.has(nodeOf(hot)));
  });
  return {
    run: live.flatMap(({ calls }) => calls),
    idle: states.filter((state) => !live.includes(state)).map(({ name }) => name),
  };
}
