import { feedingOf } from "../machine/feedingOf";
import type { WoundMotor } from "../machine/woundMotor";
import { familyById } from "../motor/families";
import type { Net, Service } from "../motor/feeding";
import { type Fault, fault, type Refused, refused } from "../quantity/fault";
import { type AskedCapacitor, capacitorPlaces } from "./capacitorPlace";
import { checkPlan } from "./check/check";
import { type Compartment, placeName } from "./compartment";
import { landed } from "./landing";
import type { MotorPlan, Wanted } from "./plan";
import { speedCalls } from "./speedCalls";
import { speedsOf } from "./speedsOf";
import { withOwnCapacitors, withStartGear } from "./startGear";
import { capacitorHangsOn, terminalNets } from "./terminalNets";
import type { WiringAsk } from "./wiringAsk";

/**
 * The plans that land a motor on the equipment: its connection chart laid over what the equipment offers, once for each
 * school of the run capacitor. Refused where the chart has no such feeding or the equipment nothing to give it.
 */
export function planWiring(
  ask: WiringAsk,
): { readonly ok: true; readonly plans: readonly MotorPlan[] } | Refused {
  const { motor, compartment: made, fitted } = ask;
  const setting = settingFor(ask);
  const faults = misfits(ask);
  if (faults.length > 0) return refused(...faults);
  const wanted = wantedOf(ask);
  // Start winding on leads of its own and a run capacitor alone: that stays in line with it for good.
  const through = feedingOf(motor).shaftSwitch && !fitted.gear.shaftSwitch;
  const outside = !through && takesStart(motor, made);
  const slots = new Set(motor.leads.map(({ slot }) => slot));
  const charts = wanted.map(({ speed, reversed }) => {
    const ways = { speed: speed ?? 1, setting, reversed, slots, startOutside: through || outside };
    const nets = feedingOf(motor).chart(ways);
    if (!nets) return null;
    if (through) return throughCapacitor(nets);
    return startsOnly(ask) ? startedOutside(nets) : nets;
  });
  const missing = wanted.filter((_, i) => !charts[i]);
  if (missing.length > 0) return refused(...missing.map((want) => noSuchFeeding(ask, want, setting)));
  const found = charts as (readonly Net[])[];
  const nets = terminalNets(found, made, startsOnly(ask));
  if (!nets) return refused(changesOver(ask));
  const duplicate = motor.leads.filter(({ slot }) => slot === "run-end").length > 1;
  const startOut = (outside || startsOnly(ask)) && made.offers.takesStartOut ? "equipment" : "motor";
  const asked = needsRunCapacitor(found)
    ? (ask.runCapacitor ?? estimated(ask))
    : startOut === "equipment"
      ? besideStartGear(ask)
      : null;
  const places = capacitorPlaces(made, asked, duplicate, capacitorHangsOn(found));
  const plans = places.flatMap((place) => {
    const started = withStartGear(landed(ask, place, nets, { wanted, setting, startOut }), motor, fitted);
    return started ? [withOwnCapacitors(started, motor, fitted)] : [];
  });
  return plans.length > 0
    ? { ok: true, plans: bestFirst(plans, ask) }
    : refused(
        fault(
          "no-relay-suits",
          "With this plate’s start capacitor no relay would tell this motor’s start from its run: its coil stands higher at rest than at speed. See the plate’s start capacitor and the readings again, or type the relay that is there.",
          ["compartment"],
        ),
      );
}

/** Plans as the schools come, but those that the check stops behind those that run. */
function bestFirst(plans: readonly MotorPlan[], { motor, fitted }: WiringAsk): readonly MotorPlan[] {
  if (plans.length < 2) return plans;
  const stopped = new Map(plans.map((plan) => [plan, checkPlan(plan, { motor, fitted }).weight === "stop"]));
  return [...plans].sort((a, b) => Number(stopped.get(a)) - Number(stopped.get(b)));
}

/** What of the motor does not go with this equipment at all. */
function misfits(ask: WiringAsk): Fault[] {
  const { motor, compartment: made } = ask;
  const faults: Fault[] = [];
  const lines = made.offers.lines?.length ?? 0;
  if (feedingOf(motor).phases === 3 && lines < 3)
    faults.push(
      fault("three-phase-motor", "A three-phase motor needs three lines; this equipment has two.", [
        "compartment",
      ]),
    );
  if (feedingOf(motor).phases === 1 && made.supply.kind === "three-lines" && lines < 2)
    faults.push(
      fault(
        "single-phase-motor",
        "A single-phase motor takes two of three lines; this equipment offers no two switched ones.",
        ["compartment"],
      ),
    );
  if (startsOnly(ask) && !made.offers.start)
    faults.push(
      fault(
        "no-start-gear",
        "This motor starts through a start capacitor and a relay, and this equipment has neither: it needs its control box.",
        ["compartment"],
      ),
    );
  return faults;
}

/** What each feed of the equipment is to do with the motor. */
function wantedOf(ask: WiringAsk): Wanted[] {
  const { motor, compartment: made, fitted } = ask;
  const speeds = speedsOf(motor);
  const rank = ask.powerRank ?? 1;
  // Taps that are powers at one speed: every call runs the same one.
  const usual = fitted.rating.powers
    ? Object.fromEntries(made.offers.feeds.map(({ call }) => [call, rank]))
    : speedCalls(made, speeds);
  const chosen = { ...usual, ...ask.speeds };
  return made.offers.feeds.map(({ call, want }) => ({
    call,
    speed: chosen[call] ?? 1,
    reversed: (want === "reverse") !== ask.reversed,
  }));
}

/** The setting whose volts lie nearer the supply's. */
function settingFor({ motor, compartment: made, fitted }: WiringAsk): "low" | "high" {
  if (!feedingOf(motor).twoVoltages) return "high";
  const { volts } = fitted.rating;
  const away = (rated: number) => Math.abs(Math.log(made.supply.volts / rated));
  return away(volts.low) < away(volts.high) ? "low" : "high";
}

/**
 * The start winding is fed from outside where the equipment has something for it and the motor's chart can use it. What
 * takes it out there serves one speed; a motor of two pole counts keeps its own switch, which knows them both.
 */
function takesStart(motor: WoundMotor, { offers }: Compartment): boolean {
  const { leads, coils } = motor;
  const feeding = feedingOf(motor);
  if (!offers.start || !feeding.shaftSwitch) return false;
  if (offers.takesStartOut && coils.some(({ seat }) => seat.field !== 0)) return false;
  const slots = new Set(leads.map(({ slot }) => slot));
  const nets = feeding.chart({ speed: 1, setting: "low", reversed: false, slots, startOutside: true });
  return nets?.some(({ services }) => services.includes("start")) ?? false;
}

/** Windings joined inside that only start through a capacitor: a run capacitor has no place in it. */
function startsOnly({ fitted, motor }: WiringAsk): boolean {
  return !feedingOf(motor).shaftSwitch && fitted.rating.startsOnly;
}

/** Main and start joined inside, started from outside: the start end goes to what starts it, and to no run capacitor. */
function startedOutside(nets: readonly Net[]): Net[] {
  return nets.map(({ services, slots }) => ({
    slots,
    services: services.flatMap((service): Service[] => {
      if (service === "run-cap-1") return [];
      return [service === "run-cap-2" ? "start" : service];
    }),
  }));
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

/** Capacitor start and run on a box that has a place for both: the plate's run capacitor, where one is stated. */
function besideStartGear(ask: WiringAsk): AskedCapacitor | null {
  const { compartment: made, runCapacitor } = ask;
  return runCapacitor?.known && made.offers.capacitor && !startsOnly(ask) ? runCapacitor : null;
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

/** From call to call the start winding would have to meet another lead: a switch that moves the line alone cannot do it. */
function changesOver({ compartment: made }: WiringAsk): Fault {
  const names = made.offers.feeds.map(({ hot }) => placeName(made, hot));
  return fault(
    "changes-over",
    `This motor’s start winding has to be joined otherwise for ${names.join(" and for ")}, and this equipment moves the line alone. Give every call the same speed, or take a switch with contacts of its own for the start winding.`,
    ["compartment"],
  );
}
