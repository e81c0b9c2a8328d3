import type { Branch } from "../machine/circuit";
import { feedingOf } from "../machine/feedingOf";
import { fitOtherwise } from "../machine/fitMotor";
import { GROUND } from "../machine/joinedCircuit";
import { type MotorParameters, startChains } from "../machine/motorBranches";
import { isHiddenEnd } from "../motor/sectionEnd";
import { isTap } from "../motor/slot";
import { CAPPED } from "../wiring/place";
import type { MotorPlan } from "../wiring/plan";
import { planWiring } from "../wiring/planWiring";
import type { CircuitCapacitor } from "./capacitorsInCircuit";
import { type Cause, COMMON, PRIOR } from "./causes";
import { onOddBuild } from "./onOddBuild";
import type { ProvingCase } from "./provingCase";
import type { Change, Severity, Suspect } from "./suspect";

/** All as planned. */
export const AS_PLANNED: Suspect = {
  cause: "as-planned",
  at: [],
  prior: PRIOR.sound,
  change: {},
  severity: null,
};

/** What a plate leaves open as well beside the fitted motor: turns of the start winding, and the current its iron takes. */
const OTHER_TURNS = [0.62, 0.79, 1.27, 1.6] as const;
const OTHER_IRON = [0.2, 0.33, 0.57, 1.7] as const;
/** A sound motor may be built unlike what is usual: then figures far off mean no fault, and no more than that. */
const LOOSE = 1.8;

/** Sound motors of other builds than the one fitted, which the same plate has. */
function oddlyBuilt({ motor, fitted }: ProvingCase): Suspect[] {
  const turned = feedingOf(motor).phases === 1 && motor.coils.some(({ winding }) => winding === "start");
  const otherwise = [
    ...(turned ? OTHER_TURNS.map((times) => ["startTurns", times] as const) : []),
    ...OTHER_IRON.map((times) => ["magnetisingOhms", times] as const),
  ];
  const builds = otherwise.map(([build, times]) => {
    const { parameters, worse } = fitOtherwise(motor, fitted, build, times);
    const change: Change = { parameters: (p) => movedAs(p, fitted.parameters, parameters) };
    return { change, share: Math.exp(-Math.max(0, worse)) };
  });
  const each = PRIOR.oddlyBuilt / (builds.length + 1);
  return [
    { ...AS_PLANNED, prior: each, loose: LOOSE },
    ...builds.map(({ change, share }) => ({
      ...AS_PLANNED,
      change,
      prior: Math.max(LEAST_PRIOR, each * share),
    })),
  ];
}

/** Of what hardly meets the plate: its logarithm is taken. */
const LEAST_PRIOR = 1e-12;

/** Parameters moved from where they are by what leads from one set to another. */
function movedAs(p: MotorParameters, from: MotorParameters, to: MotorParameters): MotorParameters {
  return {
    ...p,
    magnetisingOhms: (p.magnetisingOhms * to.magnetisingOhms) / from.magnetisingOhms,
    rotorOhms: (p.rotorOhms * to.rotorOhms) / from.rotorOhms,
    leakageOhms: (p.leakageOhms * to.leakageOhms) / from.leakageOhms,
    rotorReactanceOhms: (p.rotorReactanceOhms * to.rotorReactanceOhms) / from.rotorReactanceOhms,
    startTurns: (p.startTurns * to.startTurns) / from.startTurns,
  };
}

const kept = new WeakMap<ProvingCase, readonly Suspect[]>();

/** Suspects of a case with a clamp put on wrong at any lead, kept: their machines hang on them. */
export function suspectsKept(made: ProvingCase): readonly Suspect[] {
  const known =
    kept.get(made) ??
    suspectsOf(
      made,
      made.motor.leads.map(({ id }) => id),
    );
  kept.set(made, known);
  return known;
}

type Draft = Pick<Suspect, "cause" | "at" | "change"> & { readonly severity?: Suspect["severity"] };

/**
 * Everything that can be the matter here: each cause of the list that this motor and equipment can have, as changes of
 * circuit, parameter, load or supply. What is known of how often each is met is shared among the ways it can be.
 *
 * @param clamped leads that a clamp was read on: only there can it have been put on wrong.
 */
export function suspectsOf(made: ProvingCase, clamped: readonly string[]): Suspect[] {
  const drafts = [
    ...landingsOf(made),
    ...capacitorsOf(made),
    ...windingsOf(made),
    ...contactsOf(made),
    ...settingOf(made),
    ...supplyOf(made),
    ...shaftOf(made),
    ...turnOf(made),
    ...clampsOf(clamped),
  ];
  const here = [...new Set(drafts.map(({ cause }) => cause))];
  const commonOf = (cause: Cause) => (cause === "as-planned" || cause === "unknown" ? 0 : COMMON[cause]);
  const all = here.reduce((sum, cause) => sum + commonOf(cause), 0);
  const ways = (cause: Cause) => drafts.filter((draft) => draft.cause === cause).length;
  const builds = oddlyBuilt(made);
  const faults = drafts.map((draft) => ({
    ...draft,
    severity: draft.severity ?? null,
    prior: (PRIOR.faulty * commonOf(draft.cause)) / all / ways(draft.cause),
  }));
  // What a start winding that stays in carries hangs on its turns, which no plate tells.
  const startHeld = faults.filter(({ cause }) => cause === "start-contact-stays-closed");
  return [AS_PLANNED, ...builds, ...faults, ...builds.flatMap((build) => onOddBuild(build, startHeld))];
}

/** The usual wrong moves: two leads changed over, one off, one beside its place. */
function landingsOf({ plan, motor }: ProvingCase): Draft[] {
  const { landings, compartment } = plan;
  const at = (lead: string) => landings[lead] ?? CAPPED;
  const moved = (changes: Record<string, string>): Change => ({
    plan: { ...plan, landings: { ...landings, ...changes } },
  });
  const leads = motor.leads.map(({ id }) => id);
  const onTap = (id: string) => isTap(motor.leads.find((lead) => lead.id === id)?.slot ?? "");
  return leads.flatMap((one, i): Draft[] => {
    const exchanged = leads.slice(i + 1).flatMap((other): Draft[] =>
      at(one) === at(other)
        ? []
        : [
            {
              cause: onTap(one) && onTap(other) ? "wrong-tap" : "leads-exchanged",
              at: [one, other],
              change: moved({ [one]: at(other), [other]: at(one) }),
            },
          ],
    );
    if (at(one) === CAPPED) return exchanged;
    const device = compartment.devices.find(({ terminals }) => terminals.some(({ id }) => id === at(one)));
    const here = device?.terminals.findIndex(({ id }) => id === at(one)) ?? -1;
    const beside = [here - 1, here + 1].flatMap((k) => device?.terminals[k] ?? []);
    return [
      ...exchanged,
      { cause: "lead-off", at: [one], change: moved({ [one]: CAPPED }) },
      ...beside.map(
        ({ id }): Draft => ({ cause: "wrong-terminal", at: [one, id], change: moved({ [one]: id }) }),
      ),
    ];
  });
}

/** Shares of its capacity that a weak capacitor still has, and times that a wrong one has of the right value. */
const WEAK = [0.25, 0.34, 0.46, 0.62, 0.8] as const;
const WRONG = [1.3, 1.7, 2.2, 3, 4.2] as const;
const STEP_SPREAD = 0.13;
/** A shorted capacitor still has this much. */
const SHORTED_OHMS = 0.3;

function capacitorsOf({ capacitors }: ProvingCase): Draft[] {
  const serving = capacitors.filter(({ serves }) => serves);
  const [herm, fan] = ["herm", "fan"].map((name) => capacitors.find(({ at }) => at === name));
  const exchanged: Draft[] =
    herm && fan && Math.abs(herm.microfarads / fan.microfarads - 1) > 0.1
      ? [
          {
            cause: "capacitor-halves-exchanged",
            at: [fan.at, herm.at],
            change: { branches: withCapacity({ [fan.id]: herm.microfarads, [herm.id]: fan.microfarads }) },
          },
        ]
      : [];
  return [...serving.flatMap(ofCapacitor), ...exchanged];
}

function ofCapacitor({ id, at, microfarads }: CircuitCapacitor): Draft[] {
  const is = (cause: Cause, change: Change): Draft => ({ cause, at: [at], change });
  const valued = (cause: Cause, times: number): Draft => ({
    cause,
    at: [at],
    ...degree({ quantity: "microfarads", value: times * microfarads, spread: STEP_SPREAD }, (value) => ({
      branches: withCapacity({ [id]: value }),
    })),
  });
  const gone: Change = { branches: (branches) => branches.filter((branch) => branch.id !== id) };
  return [
    is("capacitor-missing", gone),
    is("capacitor-open", gone),
    is("capacitor-shorted", {
      branches: (branches) =>
        branches.map(
          (branch): Branch =>
            branch.id === id
              ? { kind: "resistor", id, from: branch.from, to: branch.to, ohms: SHORTED_OHMS }
              : branch,
        ),
    }),
    ...WEAK.map((times) => valued("capacitor-weak", times)),
    ...WRONG.map((times) => valued("capacitor-wrong", times)),
  ];
}

/** A suspect's change at a degree, and the same one standard deviation further. */
function degree(severity: Severity, change: (value: number) => Change): Pick<Suspect, "change" | "severity"> {
  return {
    change: change(severity.value),
    severity: { ...severity, more: change(severity.value * Math.exp(severity.spread)) },
  };
}

function withCapacity(microfarads: Readonly<Record<string, number>>): NonNullable<Change["branches"]> {
  return (branches) =>
    branches.map((branch) => {
      const now = branch.kind === "capacitor" ? microfarads[branch.id] : undefined;
      return now !== undefined && branch.kind === "capacitor"
        ? { ...branch, microfarads: now, seriesOhms: (branch.seriesOhms * branch.microfarads) / now }
        : branch;
    });
}

/** Shares of a winding's turns that a short takes out. */
const SHORTED = [0.06, 0.1, 0.17] as const;
const SHORTED_SPREAD = 0.25;
const BARS = [1.8, 2.6] as const;
const BARS_SPREAD = 0.18;

function windingsOf({ motor }: ProvingCase): Draft[] {
  const open = (cause: Cause, at: string, ids: readonly string[]): Draft => ({
    cause,
    at: [at],
    change: { branches: (branches) => branches.filter(({ id }) => !ids.includes(id)) },
  });
  const ends = (from: string, to: string) => [from, to].filter((end) => !isHiddenEnd(end)).join("–");
  const chains = startChains(motor.coils);
  const mains = motor.coils.filter(({ winding }) => winding !== "start");
  return [
    ...(chains.length > 1 ? [...chains, chains.flat()] : chains).map((chain) =>
      open(
        "start-winding-open",
        "start",
        chain.flatMap(({ id }) => [id, `${id}~slow`]),
      ),
    ),
    ...mains.map(({ id, from, to }) => open("main-half-open", ends(from, to), [id])),
    ...mains
      .filter(({ winding }) => winding !== "speed")
      .flatMap(({ id, from, to }) =>
        SHORTED.map(
          (share): Draft => ({
            cause: "shorted-turns",
            at: [ends(from, to)],
            ...degree({ quantity: "shorted-share", value: share, spread: SHORTED_SPREAD }, (value) => ({
              branches: withShortedTurns(id, value),
            })),
          }),
        ),
      ),
    ...BARS.map(
      (times): Draft => ({
        cause: "rotor-bars",
        at: [],
        ...degree({ quantity: "rotor-times", value: times, spread: BARS_SPREAD }, (value) => ({
          parameters: (p) => ({ ...p, rotorOhms: p.rotorOhms * value }),
        })),
      }),
    ),
  ];
}

/** A share of a coil's turns closed in itself: it leaves the circuit and stands in the same field, as a ring. */
function withShortedTurns(coil: string, share: number): NonNullable<Change["branches"]> {
  return (branches) =>
    branches.flatMap((branch): Branch[] => {
      if (branch.id !== coil || branch.kind !== "winding") return [branch];
      const part = (of: number) => ({
        ...branch,
        ohms: branch.ohms * of,
        leakageOhms: branch.leakageOhms * of * of,
        place: { ...branch.place, turns: branch.place.turns * of },
      });
      return [part(1 - share), { ...part(share), id: `${coil}~shorted`, from: GROUND, to: GROUND }];
    });
}

/** What starts the motor and goes out again: the switch on its shaft, or the equipment's relay. */
function contactsOf({ motor, plan, fitted }: ProvingCase): Draft[] {
  const relay = plan.compartment.devices.some(({ parts }) =>
    parts.some(({ kind }) => kind === "potential-relay"),
  );
  const own =
    plan.lands.startOut === "motor" &&
    fitted.gear.shaftSwitch &&
    motor.coils.some(({ winding }) => winding === "start");
  if (!own && !(relay && plan.lands.startOut === "equipment")) return [];
  const held = (closed: boolean): Change => ({ contacts: () => [], branches: withStartContacts(closed) });
  return [
    { cause: "start-contact-stays-open", at: ["start contact"], change: held(false) },
    { cause: "start-contact-stays-closed", at: ["start contact"], change: held(true) },
  ];
}

function withStartContacts(closed: boolean): NonNullable<Change["branches"]> {
  return (branches) => {
    const relays = new Set(
      branches.flatMap(({ id }) => (id.endsWith("-coil") ? [id.slice(0, -"-coil".length)] : [])),
    );
    return branches.map((branch) =>
      branch.kind === "switch" && (branch.id.endsWith("-switch") || relays.has(branch.id))
        ? { ...branch, closed }
        : branch,
    );
  };
}

/** The windings joined, or set inside, for the other of two voltages. */
function settingOf({ motor, fitted, plan }: ProvingCase): Draft[] {
  const { insideSetting } = fitted.rating;
  if (insideSetting) {
    const { low, high } = insideSetting.volts;
    const isHigh = Math.abs(fitted.rating.volts.high - high) < Math.abs(fitted.rating.volts.high - low);
    const times = (high / low) ** 2;
    return [
      { cause: "wrong-voltage-setting", at: ["setting"], change: { ohmsTimes: isHigh ? 1 / times : times } },
    ];
  }
  if (!feedingOf(motor).twoVoltages) return [];
  const other = otherSetting(motor, fitted, plan);
  return other ? [{ cause: "wrong-voltage-setting", at: ["setting"], change: { plan: other } }] : [];
}

/** The plan that the same equipment would have with the supply of the other setting, on the supply that is there. */
function otherSetting(
  motor: ProvingCase["motor"],
  fitted: ProvingCase["fitted"],
  plan: MotorPlan,
): MotorPlan | null {
  const { compartment: made } = plan;
  const other = plan.lands.setting === "high" ? "low" : "high";
  const volts = fitted.rating.volts[other];
  const planned = planWiring({
    motor,
    fitted,
    compartment: { ...made, supply: { ...made.supply, volts } },
    runCapacitor: null,
    speeds: {},
    reversed: false,
  });
  const [first] = planned.ok ? planned.plans : [];
  return first && first.lands.setting === other
    ? { ...plan, landings: first.landings, jumpers: first.jumpers, lands: { ...plan.lands, setting: other } }
    : null;
}

const LOW = [0.86, 0.74] as const;
const HIGH = [1.15, 1.3] as const;
const UNBALANCED = [0.95, 0.88] as const;
const SUPPLY_SPREAD = 0.05;
const UNBALANCED_SPREAD = 0.03;

function supplyOf({ plan }: ProvingCase): Draft[] {
  const { terminals, kind } = plan.compartment.supply;
  const lines = kind === "line-and-neutral" ? terminals.slice(0, 1) : terminals;
  const times = (cause: Cause, value: number): Draft => ({
    cause,
    at: [],
    ...degree({ quantity: "volts-times", value, spread: SUPPLY_SPREAD }, (v) => ({
      branches: withVolts(v, null),
    })),
  });
  return [
    ...LOW.map((value) => times("supply-low", value)),
    ...HIGH.map((value) => times("supply-high", value)),
    ...lines.map(
      (line): Draft => ({
        cause: "phase-lost",
        at: [line],
        change: { branches: (branches) => branches.filter(({ id }) => id !== `supply:${line}`) },
      }),
    ),
    ...(lines.length < 3
      ? []
      : lines.flatMap((line) =>
          UNBALANCED.map(
            (value): Draft => ({
              cause: "volts-unbalanced",
              at: [line],
              ...degree({ quantity: "volts-times", value, spread: UNBALANCED_SPREAD }, (v) => ({
                branches: withVolts(v, line),
              })),
            }),
          ),
        )),
  ];
}

function withVolts(times: number, line: string | null): NonNullable<Change["branches"]> {
  return (branches) =>
    branches.map((branch) =>
      branch.kind === "source" && (line === null || branch.id === `supply:${line}`)
        ? { ...branch, volts: { re: branch.volts.re * times, im: branch.volts.im * times } }
        : branch,
    );
}

const HEAVY = [1.5, 2, 2.7] as const;
const LIGHT = [0.5, 0.35, 0.2] as const;
const LOAD_SPREAD = 0.15;
const DRAG = [0.5, 0.9, 1.6] as const;
const DRAG_SPREAD = 0.25;

function shaftOf({ load }: ProvingCase): Draft[] {
  const loaded = (cause: Cause, value: number): Draft => ({
    cause,
    at: [],
    ...degree({ quantity: "load-times", value, spread: LOAD_SPREAD }, (loadTimes) => ({ loadTimes })),
  });
  return [
    { cause: "shaft-stuck", at: [], change: { stuck: true } },
    ...DRAG.map(
      (value): Draft => ({
        cause: "drag",
        at: [],
        ...degree({ quantity: "drag-share", value, spread: DRAG_SPREAD }, (dragShare) => ({ dragShare })),
      }),
    ),
    ...(load.kind === "none"
      ? []
      : [
          ...HEAVY.map((value) => loaded("load-heavy", value)),
          ...LIGHT.map((value) => loaded("load-light", value)),
        ]),
  ];
}

function turnOf({ plan, motor, load }: ProvingCase): Draft[] {
  // A pump's turn is told by its pressure where nothing else says which way it has to be.
  const tells = plan.lands.turn.needed !== null || plan.lands.turn.asDrawn !== null || load.kind === "pump";
  return tells && motor.coils.length > 0
    ? [{ cause: "turn-reversed", at: [], change: { turned: true } }]
    : [];
}

const CLAMP_TURNS = [2, 3, 5, 10] as const;

function clampsOf(leads: readonly string[]): Draft[] {
  return leads.flatMap((lead): Draft[] => [
    { cause: "clamp-round-two", at: [lead], change: { clamp: { lead, times: 0 } } },
    ...CLAMP_TURNS.map(
      (times): Draft => ({ cause: "clamp-turns", at: [lead], change: { clamp: { lead, times } } }),
    ),
  ]);
}
