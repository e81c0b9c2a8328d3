import type { FittedMotor } from "../machine/fitMotor";
import type { WoundMotor } from "../machine/woundMotor";
import { familyById } from "../motor/families";
import type { Net, Service, Slot } from "../motor/feeding";
import { type Fault, fault, type Refused, refused } from "../quantity/fault";
import { type AskedCapacitor, type CapacitorPlace, capacitorPlaces } from "./capacitorPlace";
import { CAPPED, type Compartment, JOINT, placeName, terminalOf } from "./compartment";
import { FRAME, type Jumper, type Wanted, type WiringPlan } from "./plan";
import { speedCalls } from "./speedCalls";
import { withStartGear } from "./startGear";

/** What a plan is asked for. */
export interface WiringAsk {
  readonly motor: WoundMotor;
  readonly compartment: Compartment;
  /** Of the new motor's plate; null where it takes none. */
  readonly runCapacitor: AskedCapacitor | null;
  /** What its plate and ohms say of it: volts by setting, and what its start gear has to suit. */
  readonly fitted: FittedMotor;
  /** The speed of a call, where a person chose it. */
  readonly speeds: Readonly<Record<string, number>>;
  readonly reversed: boolean;
}

/**
 * The plans that land a motor on the equipment: its connection chart laid over what the equipment offers, once for each
 * school of the run capacitor. Refused where the chart has no such feeding or the equipment nothing to give it.
 */
export function planWiring(
  ask: WiringAsk,
): { readonly ok: true; readonly plans: readonly WiringPlan[] } | Refused {
  const { motor, compartment: made } = ask;
  const setting = settingFor(ask);
  const faults: Fault[] = [];
  if (motor.feeding.phases === 3 && (made.offers.lines?.length ?? 0) < 3)
    faults.push(
      fault("three-phase-motor", "A three-phase motor needs three lines; this equipment has two.", [
        "compartment",
      ]),
    );
  if (motor.feeding.phases === 1 && made.supply.kind === "three-lines")
    faults.push(
      fault(
        "single-phase-motor",
        "A single-phase motor on a three-phase contactor: take two of its poles as a compartment of their own.",
        ["compartment"],
      ),
    );
  if (faults.length > 0) return refused(...faults);
  const speeds = speedsOf(motor);
  const chosen = { ...speedCalls(made, speeds), ...ask.speeds };
  const wanted: Wanted[] = made.offers.feeds.map(({ call, want }) => ({
    call,
    speed: chosen[call] ?? 1,
    reversed: (want === "reverse") !== ask.reversed,
  }));
  // Start winding on leads of its own and a run capacitor alone: that stays in line with it for good.
  const through = motor.feeding.shaftSwitch && !ask.fitted.gear.shaftSwitch;
  const startOutside = through || takesStart(motor, made);
  const slots = new Set(motor.leads.map(({ slot }) => slot));
  const charts = wanted.map(({ speed, reversed }) => {
    const nets = motor.feeding.chart({ speed: speed ?? 1, setting, reversed, slots, startOutside });
    return nets && through ? throughCapacitor(nets) : nets;
  });
  const missing = wanted.filter((_, i) => !charts[i]);
  if (missing.length > 0) return refused(...missing.map((want) => noSuchFeeding(ask, want, setting)));
  const nets = merged(charts as (readonly Net[])[], made);
  const asked = needsRunCapacitor(charts as (readonly Net[])[]) ? (ask.runCapacitor ?? estimated(ask)) : null;
  const duplicate = motor.leads.filter(({ slot }) => slot === "run-end").length > 1;
  return {
    ok: true,
    plans: capacitorPlaces(made, asked, duplicate, through ? "line" : "return").map((place) =>
      withStartGear(landed(ask, place, nets, wanted, setting), motor, ask.fitted),
    ),
  };
}

/** How many speeds the motor's leads give. */
export function speedsOf({ leads, feeding }: WoundMotor): number {
  const slots = new Set(leads.map(({ slot }) => slot));
  let speeds = 0;
  while (
    feeding.chart({ speed: speeds + 1, setting: "high", reversed: false, slots, startOutside: false }) !==
    null
  )
    speeds += 1;
  return Math.max(1, speeds);
}

/** The setting whose volts lie nearer the supply's. */
function settingFor({ motor, compartment: made, fitted }: WiringAsk): "low" | "high" {
  if (!motor.feeding.twoVoltages) return "high";
  const { volts } = fitted.rating;
  const away = (rated: number) => Math.abs(Math.log(made.supply.volts / rated));
  return away(volts.low) < away(volts.high) ? "low" : "high";
}

/** The start winding is fed from outside where the equipment has something for it and the motor's chart can use it. */
function takesStart({ feeding, leads }: WoundMotor, { offers }: Compartment): boolean {
  if (!offers.start || !feeding.shaftSwitch) return false;
  const slots = new Set(leads.map(({ slot }) => slot));
  const nets = feeding.chart({ speed: 1, setting: "low", reversed: false, slots, startOutside: true });
  return nets?.some(({ services }) => services.includes("start")) ?? false;
}

/** The start winding fed by the line through the run capacitor, where the chart has it fed through something outside. */
function throughCapacitor(nets: readonly Net[]): Net[] {
  return nets.map(({ services, slots }) => ({
    slots,
    services: services.flatMap((service): Service[] => {
      if (service === "line-1") return ["line-1", "run-cap-1"];
      return [service === "start" ? "run-cap-2" : service];
    }),
  }));
}

function needsRunCapacitor(charts: readonly (readonly Net[])[]): boolean {
  return charts.some((nets) => nets.some(({ services }) => services.includes("run-cap-2")));
}

/** For the figures alone: what a motor of its power usually has, on the capacitor's usual volts. */
function estimated({ fitted }: WiringAsk): AskedCapacitor {
  return { microfarads: fitted.rating.runMicrofarads ?? 5, volts: USUAL_CAPACITOR_VOLTS, known: false };
}

const USUAL_CAPACITOR_VOLTS = 440;

function noSuchFeeding({ motor, compartment: made }: WiringAsk, want: Wanted, setting: string): Fault {
  const call = made.calls.find(({ id }) => id === want.call)?.name ?? want.call;
  const speeds = speedsOf(motor);
  if ((want.speed ?? 1) > speeds)
    return fault("no-such-speed", `${call} asks for speed ${want.speed}; this motor has ${speeds}.`, [
      "speeds",
      want.call,
    ]);
  return fault(
    "no-such-feeding",
    want.reversed
      ? `${call}: this motor cannot be turned round by its leads. Reversed by: ${familyById(motor.family)?.reverseBy ?? "nothing"}.`
      : `${call}: with what this equipment has, the motor cannot be joined for its ${setting} volts. Its start gear belongs on the motor.`,
    ["compartment"],
  );
}

/** A net of the motor with the terminals it is to meet. */
interface TerminalNet {
  readonly slots: readonly Slot[];
  /** The first is where the leads land, the others have to be on the same potential. */
  readonly terminals: readonly string[];
  readonly services: readonly Service[];
}

/** The nets of all calls together: each call's hot on the slot it feeds, everything else as the first call has it. */
function merged(charts: readonly (readonly Net[])[], made: Compartment): TerminalNet[] {
  const { feeds } = made.offers;
  const bySlots = new Map<string, { slots: readonly Slot[]; terminals: string[]; services: Service[] }>();
  charts.forEach((nets, i) => {
    for (const { slots, services } of nets) {
      const key = [...slots].sort().join();
      const net = bySlots.get(key) ?? { slots, terminals: [], services: [] };
      bySlots.set(key, net);
      for (const service of services) {
        if (service.startsWith("run-cap") && i > 0) continue;
        const terminal = terminalFor(service, made, feeds[i]?.hot ?? "");
        if (!net.services.includes(service)) net.services.push(service);
        if (terminal && !net.terminals.includes(terminal)) net.terminals.push(terminal);
      }
    }
  });
  return [...bySlots.values()];
}

function terminalFor(service: Service, { offers }: Compartment, hot: string): string | null {
  switch (service) {
    case "line-1":
      return offers.lines?.[0] ?? hot;
    case "line-2":
      return offers.lines?.[1] ?? offers.back;
    case "line-3":
      return offers.lines?.[2] ?? null;
    case "start":
      return offers.start ?? null;
    default:
      // Capacitor sides are known only with the school.
      return `${service}?`;
  }
}

const SERVICE_ORDER: Readonly<Record<Service, number>> = {
  "run-cap-2": 0,
  start: 1,
  "line-2": 2,
  "line-3": 3,
  "run-cap-1": 4,
  "line-1": 5,
};

function landed(
  ask: WiringAsk,
  place: CapacitorPlace,
  nets: readonly TerminalNet[],
  wanted: readonly Wanted[],
  setting: "low" | "high",
): WiringPlan {
  const { compartment: made } = place;
  const { capacitor } = made.offers;
  const landings: Record<string, string> = { [FRAME]: made.offers.ground };
  const reasons: Record<string, string> = { [FRAME]: "Frame ground first, lines last." };
  const jumpers: Jumper[] = [];
  const taken = new Map<string, number>();
  for (const { from, to } of made.wires)
    for (const end of [from, to]) taken.set(end, (taken.get(end) ?? 0) + 1);
  const free = (terminal: string) =>
    (terminalOf(made, terminal)?.terminal.places ?? 0) - (taken.get(terminal) ?? 0);
  const take = (terminal: string) => taken.set(terminal, (taken.get(terminal) ?? 0) + 1);
  const put = (lead: string, to: string, why: string) => {
    landings[lead] = to;
    reasons[lead] = why;
    if (to !== CAPPED && !to.startsWith(JOINT)) take(to);
  };
  const jump = (from: string, to: string) => {
    jumpers.push({ id: `jumper-${from}-${to}`, from, to });
    if (!from.startsWith(JOINT)) take(from);
    take(to);
  };
  let joints = 0;
  const side = (terminal: string) =>
    terminal === "run-cap-1?"
      ? capacitor?.lineSide
      : terminal === "run-cap-2?"
        ? capacitor?.startSide
        : terminal;
  const ordered = [...nets].sort((a, b) => orderOf(a) - orderOf(b));
  for (const net of ordered) {
    const [main, ...others] = [...new Set(net.terminals.map(side))].filter(
      (t): t is string => t !== undefined,
    );
    const leadsOf = (slot: Slot) => ask.motor.leads.filter((lead) => lead.slot === slot).map(({ id }) => id);
    const needed = net.slots.flatMap((slot) => leadsOf(slot).slice(0, 1));
    const spare = net.slots.flatMap((slot) => leadsOf(slot).slice(1));
    if (needed.length === 0) continue;
    const tied = (terminal: string) =>
      capacitor?.tied === true && terminal === capacitor.lineSide && main !== capacitor.startSide;
    const further = others.filter((terminal) => !tied(terminal));
    const jumped = further.slice(spare.length);
    const why = reasonOf(net, ask, made);
    if (!main || needed.length + jumped.length > free(main)) {
      if (!main && needed.length < 2) {
        for (const lead of needed) put(lead, CAPPED, "Joined to nothing in this connection.");
        continue;
      }
      joints += 1;
      const joint = `${JOINT}${joints}`;
      for (const lead of needed) put(lead, joint, why);
      for (const terminal of main ? [main, ...jumped] : []) jump(joint, terminal);
    } else {
      for (const lead of needed) put(lead, main, why);
      for (const terminal of jumped) jump(main, terminal);
    }
    further.slice(0, spare.length).forEach((terminal, i) => {
      put(
        spare[i] as string,
        terminal,
        "The same lead again: it brings the run end to the capacitor’s other side.",
      );
    });
    for (const lead of spare.slice(further.length))
      put(lead, CAPPED, "The same lead again, not needed here: capped on its own.");
  }
  const parks = [...made.offers.park];
  for (const { id, slot } of ask.motor.leads) {
    if (landings[id]) continue;
    const speed = slot.startsWith("speed-");
    const park = speed ? parks.shift() : undefined;
    put(
      id,
      park ?? CAPPED,
      speed
        ? "Unused speed: it stands at more than line voltage while the motor runs."
        : "Unused in this connection: live while the motor runs.",
    );
  }
  return {
    id: place.id,
    title: titleOf(ask, setting),
    school: place.school,
    compartment: made,
    landings,
    jumpers,
    removed: place.removed,
    capacitors: place.work,
    wanted,
    setting,
    ...(ask.motor.plugTurned ? { plugTurned: true } : {}),
    reasons,
    cautions: [
      "Unused leads are live when the motor runs: each capped on its own, never two together.",
      ...place.cautions,
      ...made.cautions,
    ],
  };
}

function orderOf({ services }: TerminalNet): number {
  return services.length === 0 ? -1 : Math.min(...services.map((service) => SERVICE_ORDER[service]));
}

function titleOf({ motor, compartment: made }: WiringAsk, setting: "low" | "high"): string {
  const volts = motor.feeding.twoVoltages ? `, joined for the ${setting} volts` : "";
  return `${made.title}${volts}`;
}

function reasonOf(
  { services, slots, terminals }: TerminalNet,
  { motor }: WiringAsk,
  made: Compartment,
): string {
  if (services.length === 0) return `Joined with each other: ${slots.join(", ")}.`;
  if (services.includes("run-cap-2"))
    return "Start end: only ever to the capacitor. On a line it burns the winding.";
  if (services.includes("start")) return "Start winding: through what starts it, never straight on the line.";
  if (motor.feeding.phases === 3) return "A line of three; any two changed over reverse it.";
  if (services.includes("line-2")) return "The return of every speed.";
  const calls = terminals.flatMap((terminal) => {
    const call = made.offers.feeds.find(({ hot }) => hot === terminal)?.call;
    const name = made.calls.find(({ id }) => id === call)?.name;
    return name ? [name] : [];
  });
  const tap = slots.find((slot) => slot.startsWith("speed-"));
  const speeds = motor.leads.filter(({ slot }) => slot.startsWith("speed-")).length;
  if (tap && speeds > 1)
    return calls.length > 1
      ? `Speed ${tap.slice(6)} for ${calls.join(" and ")}: the equipment’s own contacts feed one tap, no two taps are tied.`
      : `Speed ${tap.slice(6)} for ${calls[0] ?? "this call"}: one call, one tap.`;
  return `The switched line${calls.length > 0 ? ` of ${calls.join(" and ")}` : ""}.`;
}

/** Terminals where the old motor had a lead and nothing is any more, by name. */
export function emptied(plan: WiringPlan, oldTerminals: readonly string[]): string[] {
  const used = new Set([
    ...Object.values(plan.landings),
    ...[...plan.jumpers, ...plan.compartment.wires].flatMap(({ from, to }) => [from, to]),
  ]);
  return [...new Set(oldTerminals)]
    .filter((terminal) => !used.has(terminal))
    .map((t) => placeName(plan.compartment, t));
}
