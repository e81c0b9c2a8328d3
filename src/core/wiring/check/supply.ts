import { feedingOf } from "../../machine/feedingOf";
import type { MotorPlan } from "../plan";
import { type CheckFinding, finding } from "./finding";
import { type MotorToRun, type RightRun, VOLTS_TAKEN } from "./outcome";
import { figure } from "./running";

/** Whether the supply's volts and hertz are what the motor, as it is set, is made for. */
export function supplyFindings(
  plan: MotorPlan,
  run: MotorToRun,
  right: (speed: number, reversed: boolean) => RightRun | null,
  rated: (speed: number, reversed: boolean) => RightRun | null,
): CheckFinding[] {
  return [...voltsFindings(plan, run), ...hertzFindings(plan, run, right(1, false), rated(1, false))];
}

function voltsFindings(
  { compartment: made, lands: { setting: set } }: MotorPlan,
  { fitted, motor }: MotorToRun,
): CheckFinding[] {
  const { rating } = fitted;
  if (rating.sources.volts?.kind === "assumed" || rating.insideSetting?.now === null) return [];
  const [low, high] = [rating.leastVolts[set], rating.volts[set]];
  const { volts } = made.supply;
  if (volts >= low * (1 - VOLTS_TAKEN) && volts <= high * (1 + VOLTS_TAKEN))
    return lowSystem(volts, low, feedingOf(motor).twoVoltages);
  const over = volts > high;
  // The linear model: iron that saturates draws still more.
  const amps = over
    ? `, ${figure(rating.amps * (volts / high))} A and more where ${figure(rating.amps)} are right`
    : "";
  return [
    finding({
      code: "setting",
      weight: "stop",
      says: `The supply is ${Math.round(volts)} V and the motor, as ${rating.insideSetting ? "it is set" : "joined"}, is for ${Math.round(high)} V: ${over ? `its iron saturates and it burns in seconds${amps}` : "a weak field, it hangs and overheats"}.`,
      mend: mendOf(over, feedingOf(motor).twoVoltages, fitted, volts),
    }),
  ];
}

function mendOf(over: boolean, byLeads: boolean, { rating }: MotorToRun["fitted"], supply: number): string {
  const set = rating.insideSetting;
  if (set) {
    const other = over ? set.volts.high : set.volts.low;
    return Math.abs(other / supply - 1) <= VOLTS_TAKEN * 1.2
      ? `Turn its dial, plug or links to ${Math.round(other)} V, with the power off; no other motor is needed.`
      : "Another motor, of this supply’s volts.";
  }
  return byLeads
    ? `Join its leads for ${over ? "the high" : "the low"} volts, or choose another motor.`
    : "Another motor, of this supply’s volts.";
}

/** 208 is a system of its own: some motors for 230 V may run on it, some not. */
const SYSTEM_208 = [196, 216] as const;

function lowSystem(volts: number, least: number, twoVoltages: boolean): CheckFinding[] {
  const on208 = volts >= SYSTEM_208[0] && volts <= SYSTEM_208[1];
  if (!on208 || twoVoltages || least <= SYSTEM_208[1]) return [];
  return [
    finding({
      code: "setting",
      weight: "again",
      says: `The supply is ${Math.round(volts)} V and the plate says ${Math.round(least)} V alone: on 208 it has about ${Math.round(100 * (volts / least) ** 2)} % of its torque, starts weaker and runs hotter; some motors for 230 V may run so, some not.`,
      mend: "A plate of 208–230 V; or measure amps and volts under load, and stay within ten per cent of the plate.",
    }),
  ];
}

/** Volts for each hertz beside the rated ones, from which the iron saturates. */
const SATURATES = 1.1;
const OVERLOADS = 1.25;

function hertzFindings(
  { compartment: made, lands: { setting: set } }: MotorPlan,
  { fitted }: MotorToRun,
  here: RightRun | null,
  rated: RightRun | null,
): CheckFinding[] {
  const { rating } = fitted;
  const { hertz, volts } = made.supply;
  if (hertz === rating.hertz) return [];
  const flux = volts / hertz / (rating.volts[set] / rating.hertz);
  const speed = here ? Math.abs(here.point.rpm) : (rating.rpm * hertz) / rating.hertz;
  const times = here && rated ? here.lineAmps / Math.max(rated.lineAmps, 1e-9) : 1;
  const slower = hertz < rating.hertz;
  const stop = flux > SATURATES || times > OVERLOADS || here?.point.outcome === "stalls";
  return [
    finding({
      code: "hertz",
      weight: stop ? "stop" : "again",
      says: `A motor for ${rating.hertz} Hz on ${hertz} Hz: it turns about ${Math.round(speed)} rpm where its plate says ${Math.round(rating.rpm)}, at some ${figure(times)} times its amps; its iron has ${figure(flux)} times the volts for each hertz that it is made for${flux > SATURATES ? " and saturates: hot, and louder" : ""}. ${slower ? "Less air, and less of it to cool the motor." : "A fan asks for the cube of the speed: 1.7 times the power."}`,
      mend: `A motor for ${hertz} Hz. On ${Math.round((rating.volts[set] * hertz) / rating.hertz)} V this one would have its right field here.`,
    }),
  ];
}
