import { feedingOf } from "../../machine/feedingOf";
import type { StartContact } from "../../machine/operatingPoint";
import type { Solution } from "../../machine/solve";
import { isTap } from "../../motor/slot";
import { formatRotation } from "../../quantity/rotation";
import type { MotorPlan } from "../plan";
import { type CheckFinding, finding } from "./finding";
import type { MotorToRun, StateOutcome } from "./outcome";
import { turnOf } from "./turning";

/** A speed this far from the right one, as a share, is another speed. */
const SPEED_APART = 0.04;
/** Turning slower than this share of the right speed: it hangs. */
const CRAWL = 0.75;
/** Amps of a winding section beside the right ones: doubtful, and too much. */
const AMPS_DOUBTFUL = 1.2;
const AMPS_TOO_MUCH = 1.4;
/** A section that carries little when all is right is measured by this share of the greatest. */
const SMALL_SECTION = 0.35;
const VOLTS_TOO_MUCH = 1.18;
/** Amps that no motor of the size draws: a short by way of its windings. */
export const SHORT_TIMES = 25;
/** Under this share of the plate's amps nothing runs. */
const NOTHING_SHARE = 0.03;
/** Of the right capacitor current. */
const CAPACITOR_SHARE = 0.3;

/** What a state that is to run the motor does instead, or that it does so; each finding with its numbers. */
export function runningFindings(outcome: StateOutcome, plan: MotorPlan, run: MotorToRun): CheckFinding[] {
  const { fitted } = run;
  const { state, wanted, point, reference } = outcome;
  if (!wanted || outcome.circuit.shorted.length > 0) return [];
  if (!reference || !point || reference.point.outcome === "stalls") return [notFigured(outcome)];
  const amps = fitted.rating.amps;
  const make = (
    code: CheckFinding["code"],
    weight: CheckFinding["weight"],
    says: string,
    mend: string,
    leads: readonly string[] = [],
  ): CheckFinding => ({
    code,
    weight,
    state: state.id,
    leads,
    places: [],
    says: `${state.name}: ${says}`,
    mend,
  });
  if (outcome.lineAmps > SHORT_TIMES * amps) return [shortThroughMotor(outcome)];
  const greatest = Math.max(0, ...outcome.coils.map((coil) => coil.amps));
  if (greatest < NOTHING_SHARE * amps)
    return [
      make(
        "nothing-runs",
        "stop",
        "no current flows in any winding: nothing happens.",
        "The switched line or the return does not reach the motor: see that both of its leads are landed.",
      ),
    ];
  const findings: CheckFinding[] = [];
  const right = reference.point;
  if (point.outcome === "stalls")
    findings.push(
      make(
        "hums",
        "stop",
        `it hums and does not turn, at ${figure(outcome.lineAmps)} A (${figure(outcome.lineAmps / amps)} times the plate), until the protector opens.`,
        "No turning field: see the start winding, its capacitor and what feeds them.",
      ),
    );
  else if (point.outcome !== right.outcome)
    findings.push(
      make(
        "reversed",
        "stop",
        `it turns the wrong way, at ${round(Math.abs(point.rpm))} rpm.`,
        "Make the one change that reverses this motor, or undo the one that did.",
      ),
    );
  else findings.push(...speedFindings(outcome, tapsOf(run.motor), make));
  findings.push(...windingFindings(outcome, make));
  if (findings.every(({ weight }) => weight !== "stop")) findings.push(...standstillFindings(outcome, make));
  const capacitorAmps = Math.max(0, ...outcome.capacitors.map((c) => c.amps));
  if (reference.capacitorAmps > 0.05 * amps && capacitorAmps < CAPACITOR_SHARE * reference.capacitorAmps)
    findings.push(
      make(
        "capacitor-not-in-line",
        "stop",
        `the capacitor carries ${figure(capacitorAmps)} A where ${figure(reference.capacitorAmps)} A are right: it is not in line with the start winding.`,
        "One side of the capacitor on the start end, the other on the run end’s line.",
      ),
    );
  findings.push(...startFindings(outcome, amps, make));
  return findings.some(({ weight }) => weight === "stop")
    ? findings
    : [
        make(
          "runs-right",
          "good",
          `starts, turns ${turn(outcome, plan, run)}, about ${round(Math.abs(point.rpm))} rpm at ${figure(outcome.lineAmps)} A.`,
          "",
        ),
        ...findings,
      ];
}

/** The way it turns, as far as the leads tell it, from both ends. */
function turn(outcome: StateOutcome, plan: MotorPlan, run: MotorToRun): string {
  const way = turnOf(plan, run, outcome);
  if (way) return formatRotation(way);
  const { unproved, plugTurned } = run.motor;
  const reversed = outcome.wanted?.reversed === true;
  if (plugTurned && !reversed) return "the other way than before, by its plug (bump it: that tells which)";
  if (feedingOf(run.motor).bumpTells || unproved.length > 0)
    return reversed
      ? "the other way than before (bump it: that tells which)"
      : "one way (bump it: that tells which)";
  return reversed ? "the other way than the plate’s drawing" : "as the plate’s drawing has it";
}

/** Silence would pass for good: where the model finds no run to hold the plan against, it says so. */
export function notFigured({ state }: Pick<StateOutcome, "state">): CheckFinding {
  return finding({
    code: "not-figured",
    weight: "again",
    state: state.id,
    says: `${state.name}: with this plate and these ohms the model finds no run of the motor to hold the plan against. What the wires would do is not proved here.`,
    mend: "See the plate’s power, speed, volts and amps in Plate; trust the plate’s drawing and a bump with the clamp on.",
  });
}

type Make = (
  code: CheckFinding["code"],
  weight: CheckFinding["weight"],
  says: string,
  mend: string,
  leads?: readonly string[],
) => CheckFinding;

/** Speed taps that the motor brings out. */
function tapsOf({ leads }: MotorToRun["motor"]): number {
  return new Set(leads.flatMap(({ slot, junction }) => (isTap(slot) ? [junction] : []))).size;
}

function speedFindings({ point, reference }: StateOutcome, taps: number, make: Make): CheckFinding[] {
  const [is, right] = [Math.abs(point?.rpm ?? 0), Math.abs(reference?.point.rpm ?? 0)];
  if (right === 0) return [];
  const share = is / right;
  if (share < CRAWL)
    return [
      make(
        "crawls",
        "stop",
        `it hangs at ${round(is)} rpm where ${round(right)} are right, and overheats.`,
        "Weak field: see the tap, the voltage setting and the capacitor.",
      ),
    ];
  return Math.abs(share - 1) > SPEED_APART
    ? [
        make(
          "wrong-speed",
          "stop",
          `it runs at about ${round(is)} rpm where ${round(right)} are asked for.`,
          taps > 1
            ? "Another tap than the one chosen is on this call: change them over."
            : "See the capacitor, the voltage setting and the supply.",
        ),
      ]
    : [];
}

function windingFindings({ coils, reference }: StateOutcome, make: Make): CheckFinding[] {
  const greatest = Math.max(0, ...[...(reference?.coils.values() ?? [])].map(({ amps }) => amps));
  const ampsTimes = coils.map(({ id, amps }) => ({
    amps,
    times: amps / Math.max(reference?.coils.get(id)?.amps ?? 0, SMALL_SECTION * greatest, 1e-9),
  }));
  const worst = ampsTimes.reduce((a, b) => (b.times > a.times ? b : a), { amps: 0, times: 0 });
  const findings: CheckFinding[] = [];
  if (worst.times > AMPS_DOUBTFUL)
    findings.push(
      make(
        "winding-overload",
        worst.times > AMPS_TOO_MUCH ? "stop" : "again",
        `a winding carries ${figure(worst.amps)} A, ${figure(worst.times)} times what is right, and turns ${figure(worst.times ** 2)} times the heat.`,
        "Look for a tap tied to a tap, the start winding on the line, or the wrong voltage.",
      ),
    );
  const overVolts = coils.find(
    ({ id, volts }) =>
      volts > VOLTS_TOO_MUCH * Math.max(reference?.coils.get(id)?.volts ?? 0, 1e-9) && volts > 30,
  );
  if (overVolts && worst.times > 1)
    findings.push(
      make(
        "winding-over-volts",
        "stop",
        `a winding stands ${round(overVolts.volts)} V where ${round(reference?.coils.get(overVolts.id)?.volts ?? 0)} V are right: its iron saturates and it draws still more than is figured here.`,
        "See the voltage setting and which tap is fed.",
      ),
    );
  return findings;
}

/** At the moment of starting: amps of a winding beside the right ones, and torque. */
const STARTING_AMPS_TOO_MUCH = 1.35;
const STARTING_TORQUE_TOO_LITTLE = 0.6;
/** A winding that right wiring feeds with this share of the greatest amps, and that has less than this share of its own. */
const FED_SHARE = 0.1;
const LEFT_OUT_SHARE = 0.05;

/** What shows only until a start switch opens: a start winding on the wrong volts, or the other way round than it should. */
function standstillFindings({ standstill, reference }: StateOutcome, make: Make): CheckFinding[] {
  const right = reference?.standstill;
  if (!standstill || !right) return [];
  const greatest = Math.max(0, ...[...right.coils.values()].map(({ amps }) => amps));
  const worst = [...standstill.coils.values()]
    .map(({ id, amps }) => ({
      amps,
      times: amps / Math.max(right.coils.get(id)?.amps ?? 0, 0.1 * greatest, 1e-9),
    }))
    .reduce((a, b) => (b.times > a.times ? b : a), { amps: 0, times: 0 });
  if (worst.times > STARTING_AMPS_TOO_MUCH)
    return [
      make(
        "start-overload",
        "stop",
        `while it starts, a winding carries ${figure(worst.amps)} A, ${figure(worst.times)} times what is right.`,
        "A start winding stands on more volts than it is wound for: across one half, never across the line of the high setting.",
      ),
    ];
  const dead = [...right.coils.values()].find(
    ({ id, amps }) =>
      amps > FED_SHARE * greatest && (standstill.coils.get(id)?.amps ?? 0) < LEFT_OUT_SHARE * amps,
  );
  const share = Math.abs(standstill.torqueNm) / Math.max(1e-9, Math.abs(right.torqueNm));
  return share < STARTING_TORQUE_TOO_LITTLE || dead
    ? [
        make(
          "weak-start",
          "stop",
          `it starts with ${Math.round(100 * share)} % of the torque it should have${dead ? ", a part of its windings left out," : ","} and may hum under its load.`,
          "See the start winding and what it starts through.",
        ),
      ]
    : [];
}

/** Under this share of the plate's amps a start contact carries nothing of the motor's: its gear stands idle. */
const IDLE_SHARE = 0.02;

function startFindings(outcome: StateOutcome, plateAmps: number, make: Make): CheckFinding[] {
  const { point, circuit, standstill } = outcome;
  if (!point) return [];
  return circuit.contacts.flatMap((contact) => {
    if (!standstill || standsIdle(contact, standstill.solution, plateAmps)) return [];
    if (contact.kind === "potential") {
      const coil = standstill.solution.branches.get(contact.coil)?.volts;
      const held = coil ? Math.hypot(coil.re, coil.im) : 0;
      if (held >= contact.pickUpVolts)
        return [
          make(
            "start-stays-in",
            "stop",
            `the relay picks up at ${round(contact.pickUpVolts)} V and its coil gets ${round(held)} V while the shaft still stands: the start capacitor is out before it turns, and the relay chatters.`,
            "A relay that picks up between the coil’s volts at rest and at three quarters of speed; its coil from 2, on the start winding, to 5.",
          ),
        ];
    }
    if (point.outcome === "stalls" || point.open.includes(contact.branch))
      return contact.kind === "potential" && point.outcome !== "stalls"
        ? coilFindings(contact, point.solution, make)
        : [];
    // Fed as its plate says, the fitted motor does not get there either: that is the fit's, not the wiring's.
    if (contact.kind === "centrifugal" && outcome.reference?.point.open.length === 0)
      return [notFigured(outcome)];
    if (contact.kind === "centrifugal")
      return [
        make(
          "start-stays-in",
          "stop",
          "the motor never reaches the speed where its start switch opens: the start winding stays in and burns.",
          "See the load, the voltage setting and the tap.",
        ),
      ];
    const volts = point.solution.branches.get(contact.coil)?.volts;
    const across = volts ? Math.hypot(volts.re, volts.im) : 0;
    if (across >= contact.pickUpVolts)
      return [
        make(
          "start-stays-in",
          "stop",
          `the relay chatters: with its contact open the coil keeps fewer than the ${round(contact.dropOutVolts)} V that hold it.`,
          "A relay chosen by this motor’s pick-up and drop-out volts.",
        ),
      ];
    return [
      make(
        "start-stays-in",
        "stop",
        `the relay’s coil gets about ${round(across)} V and picks up at ${round(contact.pickUpVolts)}: the start capacitor stays in, the start winding burns open and the capacitor vents.`,
        "Coil from 2, on the start winding, to 5, on the joint’s line; a relay chosen by the motor’s pick-up volts.",
      ),
    ];
  });
}

/** Nothing flows in the contact but what its own coil takes. */
function standsIdle(contact: StartContact, { branches }: Solution, plateAmps: number): boolean {
  const amps = (id: string) => {
    const state = branches.get(id)?.amps;
    return state ? Math.hypot(state.re, state.im) : 0;
  };
  const coil = contact.kind === "potential" ? amps(contact.coil) : 0;
  return amps(contact.branch) < IDLE_SHARE * plateAmps + 1.5 * coil;
}

/** A coil on more than it stands for good burns out, and then the start capacitor stays in. */
function coilFindings(
  { coil, coilVolts }: Extract<StartContact, { kind: "potential" }>,
  { branches }: Solution,
  make: Make,
): CheckFinding[] {
  const volts = branches.get(coil)?.volts;
  const across = volts ? Math.hypot(volts.re, volts.im) : 0;
  if (coilVolts === undefined || across <= coilVolts) return [];
  return [
    make(
      "start-stays-in",
      across > COIL_OVER * coilVolts ? "stop" : "again",
      `the relay’s coil stands at about ${round(across)} V while it runs and is made for ${round(coilVolts)} V: it burns open, and the start capacitor stays in.`,
      "A relay whose coil stands more for good.",
    ),
  ];
}

/** The model's volts are good to a tenth or so. */
const COIL_OVER = 1.1;

/** Lines that meet through two leads which are one inside. */
export function shortThroughMotor(outcome: StateOutcome): CheckFinding {
  return finding({
    code: "short-through-motor",
    weight: "stop",
    state: outcome.state.id,
    leads: hottest(outcome),
    says: `${outcome.state.name}: some ${round(outcome.lineAmps)} A run from line to line through the motor’s own leads: the breaker trips, or a lead burns.`,
    mend: "Two leads that are one inside the motor stand on two lines: put both on one, or cap one.",
  });
}

/** Leads that carry the most. */
function hottest({ leads }: StateOutcome): string[] {
  const most = Math.max(0, ...[...leads.values()].map(({ amps }) => amps));
  return [...leads].flatMap(([id, { amps }]) => (amps > 0.5 * most && most > 0 ? [id] : []));
}

/** Three digits that matter. */
export function figure(value: number): string {
  return value >= 100 ? String(Math.round(value)) : String(Number(value.toPrecision(value < 1 ? 2 : 3)));
}

function round(value: number): string {
  return String(Math.round(value));
}
