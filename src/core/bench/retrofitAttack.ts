import { abs, sub, ZERO } from "../machine/complex";
import { GROUND } from "../machine/joinedCircuit";
import { checkRetrofit } from "../wiring/check/retrofit";
import type { Compartment } from "../wiring/compartment";
import { HARNESS, HARNESS_JUNCTION, hungRetrofit } from "../wiring/harness";
import { CAPPED } from "../wiring/place";
import { FRAME, type ModulePlan } from "../wiring/plan";
import { planRetrofit } from "../wiring/retrofit";
import { guardedStatesOf, stateCircuit, statesOf } from "../wiring/stateCircuit";
import { pick, type Random } from "./random";
import { byTwoAxes } from "./secondMachine";

/** What a wrong wiring does to an electronic retrofit, beside the right one; "none" where it serves as the right one does. */
export type RetrofitHarm =
  | "none"
  | "short"
  | "control-burns"
  | "frame-live"
  | "return-on-ground"
  | "power-off"
  | "power-behind-door"
  | "wrong-volts"
  | "no-run"
  | "runs-uncalled"
  | "wrong-speed";

/** One wrong wiring of a retrofit, what it truly does, and what the check said of it. */
export interface AttackedRetrofit {
  readonly kind: string;
  readonly says: string;
  readonly harm: RetrofitHarm;
  readonly stopped: boolean;
  readonly said: readonly string[];
}

const LIMITS = {
  shortAmps: 30,
  burns: 60,
  shock: 50,
  power: 0.25,
  run: 0.5,
  low: 12,
  settings: 0.2,
} as const;
const LEAK = 1e-12;
/** Volts that such a module's jumper sets it for. */
const SETTINGS = [115, 230] as const;

/** The plan for a retrofit on an equipment, its jumper seen set right; nothing where it cannot go there. */
export function retrofitPlan(made: Compartment): ModulePlan | null {
  const setFor = made.supply.volts < 150 ? 115 : 230;
  const planned = planRetrofit(made, { setFor });
  return planned.ok ? (planned.plans[0] ?? null) : null;
}

/** Every lead in every other place, pairs exchanged, jumpers and wires gone astray, and so many moves at random. */
export function attackRetrofit(random: Random, plan: ModulePlan, moves: number): AttackedRetrofit[] {
  const right = seen(plan);
  return wrongs(random, plan, moves).map(({ kind, says, plan: wrong }) => {
    const check = checkRetrofit(wrong);
    return {
      kind,
      says,
      harm: harmOf(plan, right, wrong, seen(wrong)),
      stopped: check.weight === "stop",
      said: check.findings.filter(({ weight }) => weight !== "good").map(({ code }) => code),
    };
  });
}

interface Seen {
  readonly shorted: boolean;
  readonly guarded: boolean;
  readonly power: number;
  readonly run: boolean;
  readonly speeds: string;
  readonly burning: boolean;
  readonly frame: number;
}

/** What reaches the module in every state, solved by the second machine. */
function seen(plan: ModulePlan): ReadonlyMap<string, Seen> {
  const guarded = guardedStatesOf(plan.compartment);
  return new Map(
    [...statesOf(plan.compartment), ...guarded].map((state) => {
      const circuit = stateCircuit(plan, hungRetrofit(), state);
      const { volts, amps } = byTwoAxes(circuit.machine, 1, LEAK);
      const at = (place: string) => volts.get(circuit.nodeOf(place)) ?? ZERO;
      const lead = (id: string) => at(`${HARNESS_JUNCTION}:${id}`);
      const across = (id: string, to: string) => abs(sub(lead(id), lead(to)));
      const low = HARNESS.filter(({ harness }) => harness === "low-volt").map(({ id }) => id);
      const most = Math.max(0, ...[...amps].map(([id, z]) => (id.startsWith("supply:") ? abs(z) : 0)));
      return [
        state.id,
        {
          shorted: circuit.shorted.length > 0 || most > LIMITS.shortAmps,
          guarded: guarded.includes(state),
          power: across("power-1", "power-2"),
          run: across("run", "power-2") > LIMITS.run * plan.compartment.supply.volts,
          speeds: low.filter((id) => across(id, "low-common") > LIMITS.low).join(),
          burning: low.some(
            (id) => across(id, "low-common") > LIMITS.burns || abs(sub(lead(id), at(GROUND))) > LIMITS.burns,
          ),
          frame: abs(sub(at(plan.landings[FRAME] ?? FRAME), at(GROUND))),
        },
      ];
    }),
  );
}

function harmOf(
  plan: ModulePlan,
  right: ReadonlyMap<string, Seen>,
  wrong: ModulePlan,
  is: ReadonlyMap<string, Seen>,
): RetrofitHarm {
  const { volts } = plan.compartment.supply;
  if (wrong.lands.setFor !== null && Math.abs(volts / wrong.lands.setFor - 1) > LIMITS.settings)
    return "wrong-volts";
  const pairs = [...is].flatMap(([id, one]) => {
    const good = right.get(id);
    return good ? [{ one, good }] : [];
  });
  const some = (test: (one: Seen, good: Seen) => boolean) => pairs.some(({ one, good }) => test(one, good));
  const grounds = new Set(
    plan.compartment.devices.flatMap(({ terminals }) =>
      terminals.filter(({ kind }) => kind === "ground").map(({ id }) => id),
    ),
  );
  if (some((one) => one.shorted)) return "short";
  if (some((one) => one.burning)) return "control-burns";
  if (wrong.landings[FRAME] === CAPPED || some((one) => one.frame > LIMITS.shock)) return "frame-live";
  if (HARNESS.some(({ id, harness }) => harness !== "low-volt" && grounds.has(wrong.landings[id] ?? "")))
    return "return-on-ground";
  if (some((one, good) => one.guarded && good.power < LIMITS.power * volts && one.power > LIMITS.run * volts))
    return "power-behind-door";
  if (some((one, good) => !one.guarded && Math.abs(one.power - good.power) > LIMITS.power * volts))
    return "power-off";
  if (some((one, good) => !one.guarded && good.run && !one.run)) return "no-run";
  if (some((one, good) => !one.guarded && one.run && !good.run)) return "runs-uncalled";
  // A fan lead left off is the module's own speed, which such a module may well be meant to run at.
  const told = (speeds: string) =>
    speeds
      .split(",")
      .filter((id) => id !== "low-fan")
      .join();
  const extraFan = (one: Seen, good: Seen) =>
    one.speeds.includes("low-fan") && !good.speeds.includes("low-fan");
  if (
    some(
      (one, good) =>
        !one.guarded && good.run && (told(one.speeds) !== told(good.speeds) || extraFan(one, good)),
    )
  )
    return "wrong-speed";
  return "none";
}

interface Wrong {
  readonly kind: string;
  readonly says: string;
  readonly plan: ModulePlan;
}

function wrongs(random: Random, plan: ModulePlan, moves: number): Wrong[] {
  const { devices, wires } = plan.compartment;
  const terminals = [...devices.flatMap((device) => device.terminals.map(({ id }) => id)), CAPPED];
  const leads = [...HARNESS.map(({ id }) => id), FRAME];
  const landed = (landings: Record<string, string>): ModulePlan => ({
    ...plan,
    landings: { ...plan.landings, ...landings },
  });
  const moved = leads.flatMap((lead) =>
    terminals
      .filter((to) => to !== plan.landings[lead])
      .map((to): Wrong => ({ kind: "lead-moved", says: `${lead} to ${to}`, plan: landed({ [lead]: to }) })),
  );
  const exchanged = leads.flatMap((a, i) =>
    leads.slice(i + 1).map(
      (b): Wrong => ({
        kind: "exchanged",
        says: `${a} with ${b}`,
        plan: landed({ [a]: plan.landings[b] ?? CAPPED, [b]: plan.landings[a] ?? CAPPED }),
      }),
    ),
  );
  const dropped = plan.jumpers.map(
    (jumper): Wrong => ({
      kind: "jumper-left-off",
      says: jumper.id,
      plan: { ...plan, jumpers: plan.jumpers.filter((j) => j !== jumper) },
    }),
  );
  const settings = SETTINGS.filter((volts) => volts !== plan.lands.setFor).map(
    (volts): Wrong => ({
      kind: "setting",
      says: `${volts} V`,
      plan: { ...plan, lands: { ...plan.lands, setFor: volts } },
    }),
  );
  const atRandom = Array.from({ length: moves }, (): Wrong[] => {
    const [from, to] = [pick(random, terminals), pick(random, terminals)];
    const [a, b] = [pick(random, leads), pick(random, leads)];
    const wire = wires.length > 0 ? pick(random, wires) : null;
    return [
      {
        kind: "two-leads-moved",
        says: `${a} to ${from}, ${b} to ${to}`,
        plan: landed({ [a]: from, [b]: to }),
      },
      ...(from === CAPPED || to === CAPPED || from === to
        ? []
        : [
            {
              kind: "jumper",
              says: `${from} to ${to}`,
              plan: { ...plan, jumpers: [...plan.jumpers, { id: "wrong", from, to }] },
            },
          ]),
      ...(wire && to !== CAPPED
        ? [
            {
              kind: "wire-moved",
              says: `${wire.id} to ${to}`,
              plan: {
                ...plan,
                compartment: {
                  ...plan.compartment,
                  wires: wires.map((w) => (w === wire ? { ...w, to } : w)),
                },
              },
            },
          ]
        : []),
    ];
  }).flat();
  return [...moved, ...exchanged, ...dropped, ...settings, ...atRandom];
}
