import { abs, type Complex, scale, ZERO } from "../machine/complex";
import { feedingOf } from "../machine/feedingOf";
import { fieldImpedance } from "../machine/field";
import type { FittedMotor } from "../machine/fitMotor";
import { joinedCircuit } from "../machine/joinedCircuit";
import { solve } from "../machine/solve";
import type { WoundMotor } from "../machine/woundMotor";
import type { Device, Part } from "./compartment";
import { singleCapacitor } from "./equipment/parts";
import type { MotorPlan, PartWork } from "./plan";
import { hungMotor, stateCircuit, statesOf } from "./stateCircuit";

/** The speed at which the start winding is to go out: three quarters of synchronous. */
const OUT_AT_SLIP = 0.25;
/** A relay lets go at the most at this share of what its coil keeps in the running motor. */
const DROP_OUT_SHARE = 0.6;

/**
 * Microfarads that set start and main current a quarter period apart at standstill: Xc = Xa + Ra·Rm/Xm, with Zm = Rm + jXm
 * and Za = Ra + jXa the locked-rotor impedances (quadrature condition).
 */
export function startMicrofarads(motor: WoundMotor, { parameters: p }: FittedMotor): number | null {
  const main = motor.coils.find(({ winding }) => winding === "main" || winding === "half");
  const start = motor.coils.find(({ winding }) => winding === "start");
  if (!main || !start) return null;
  const { forward, backward } = fieldImpedance(
    {
      poles: p.poles[0],
      magnetisingOhms: p.magnetisingOhms,
      rotorOhms: p.rotorOhms,
      rotorReactanceOhms: p.rotorReactanceOhms,
    },
    1,
  );
  const both: Complex = { re: forward.re + backward.re, im: forward.im + backward.im };
  const locked = (ohms: number, turns: number): Complex => {
    const seen = scale(both, turns * turns);
    return { re: ohms + seen.re, im: p.leakageOhms * turns * turns + seen.im };
  };
  const [zm, za] = [locked(main.ohms, 1), locked(start.ohms, p.startTurns)];
  const reactance = za.im + (za.re * zm.re) / zm.im;
  return 1e6 / (2 * Math.PI * p.hertz * reactance);
}

/** What starts a motor from outside, as it has to be. */
export interface StartNeed {
  readonly microfarads: number;
  /** From the plate; else figured, which is no rating. */
  readonly plated: boolean;
  readonly volts: number;
}

/** The start capacitor that a motor wants: its plate's, else by its locked-rotor impedances; null where nothing tells. */
export function startNeed(motor: WoundMotor, fitted: FittedMotor): StartNeed | null {
  if (!motor.coils.some(({ winding }) => winding === "start")) return null;
  const { startPlated, volts } = fitted.rating;
  if (startPlated)
    return {
      microfarads: (startPlated.lowMicrofarads + startPlated.highMicrofarads) / 2,
      plated: true,
      volts: startPlated.volts ?? usualStartVolts(volts.high),
    };
  const microfarads = startMicrofarads(motor, fitted);
  return microfarads === null ? null : { microfarads, plated: false, volts: usualStartVolts(volts.high) };
}

/** Start capacitors are sold for 165 V and up on 115 V motors, for 250 V and up on those of twice that. */
function usualStartVolts(volts: number): number {
  return volts < 150 ? 165 : 250;
}

/** The motor as its reference starts it: what the equipment gives it from outside in line with its start winding. */
export function fittedWithStart(plan: MotorPlan, { motor, fitted }: MotorAndFit): FittedMotor {
  if (plan.lands.startOut !== "equipment") return fitted;
  const need = startNeed(motor, fitted);
  return need === null
    ? fitted
    : {
        ...fitted,
        gear: {
          shaftSwitch: true,
          startMicrofarads: need.microfarads,
          runBesideMicrofarads: fitted.rating.runMicrofarads,
        },
      };
}

interface MotorAndFit {
  readonly motor: WoundMotor;
  readonly fitted: FittedMotor;
}

/** Whether a lead of the motor stands where the equipment's start gear feeds it. */
function startsByEquipment({ compartment: made, landings }: MotorPlan): boolean {
  const { start, takesStartOut } = made.offers;
  return takesStartOut === true && start !== undefined && Object.values(landings).includes(start);
}

/**
 * The plan with what starts its motor from outside. Parts that somebody stated stay as they are THERE, with a step where
 * they do not suit; parts that nobody stated are taken as the motor needs them, and a step says so. Picked up where the
 * coil stands at three quarters of speed with the capacitor in, held by what it keeps after. Null where nobody stated the
 * relay and none would tell this motor's start from its run.
 */
export function withStartGear(plan: MotorPlan, motor: WoundMotor, fitted: FittedMotor): MotorPlan | null {
  const parts = plan.compartment.devices.flatMap((device) => device.parts.map((part) => ({ device, part })));
  const relay = parts.find(({ part }) => part.kind === "potential-relay");
  const capacitor = parts.find(({ part }) => part.kind === "capacitor" && part.start === true);
  const need = startNeed(motor, fitted);
  if (!startsByEquipment(plan) || capacitor?.part.kind !== "capacitor") return plan;
  // No start winding to reckon a start capacitor by: like windings run on their run capacitor alone.
  if (!need) return relay ? withoutStartGear(plan, [relay.device.id, capacitor.device.id]) : plan;
  // A run capacitor on the plate and no start capacitor: it may start on that alone.
  const runAlone = fitted.rating.runMicrofarads !== null && !need.plated;
  const band = bandWords(fitted, need);
  const started: MotorPlan = { ...plan, lands: { ...plan.lands, startOut: "equipment" } };
  const sized = withRunBeside(
    capacitor.part.stated
      ? started
      : withPart(started, capacitor.part.id, {
          microfarads: Number(need.microfarads.toPrecision(3)),
          volts: need.volts,
        }),
    capacitor.part,
    fitted,
  );
  const work = [capacitorWork(capacitor.device, capacitor.part, need, band)];
  if (relay?.part.kind !== "potential-relay") return { ...sized, parts: [...plan.parts, ...work] };
  const volts = relayVolts(sized, motor, fitted, relay.part.id);
  if (!volts && runAlone) return withoutStartGear(plan, [relay.device.id, capacitor.device.id]);
  if (!volts) return relay.part.stated ? { ...sized, parts: [...plan.parts, ...work] } : null;
  const suited = relay.part.stated ? sized : withPart(sized, relay.part.id, volts);
  return { ...suited, parts: [...plan.parts, ...work, relayWork(relay.device, relay.part, volts)] };
}

/**
 * Capacitor start and run: the run capacitor that the plate names stays in line with the start winding for good, beside
 * the start capacitor and what takes it out. Where the equipment has none, one is added there.
 */
function withRunBeside(plan: MotorPlan, start: CapacitorPart, { rating }: FittedMotor): MotorPlan {
  const { compartment: made } = plan;
  const { runMicrofarads, runVolts, sources } = rating;
  const into = made.offers.start;
  if (runMicrofarads === null || sources["run capacitor"]?.kind === "assumed") return plan;
  if (made.offers.capacitor || into === undefined) return plan;
  const { nodeOf } = joinedCircuit(
    [],
    made.wires.map(({ from, to }): [string, string] => [from, to]),
  );
  const hots = new Set(made.offers.feeds.map(({ hot }) => nodeOf(hot)));
  const line = [start.from, start.to].find((end) => hots.has(nodeOf(end)));
  if (line === undefined) return plan;
  const [lineSide, startSide] = [`${RUN_BESIDE}.1`, `${RUN_BESIDE}.2`];
  const volts = runVolts ?? USUAL_RUN_VOLTS;
  return {
    ...plan,
    compartment: {
      ...made,
      devices: [...made.devices, singleCapacitor(RUN_BESIDE, runMicrofarads, volts)],
      offers: {
        ...made.offers,
        capacitor: { device: RUN_BESIDE, startSide, lineSide, tied: true, dual: false },
      },
    },
    jumpers: [
      ...plan.jumpers,
      { id: "line-to-run-capacitor", from: line, to: lineSide },
      { id: "run-capacitor-to-start", from: startSide, to: into },
    ],
    capacitors: [
      ...plan.capacitors,
      { device: RUN_BESIDE, change: "added", microfarads: runMicrofarads, volts, known: true },
    ],
  };
}

const RUN_BESIDE = "run-beside";
/** What run capacitors are sold for that no plate says the volts of. */
const USUAL_RUN_VOLTS = 440;

/**
 * The plan with the capacitors that sit on the motor itself, each with its place and a step: in its own wart where it has
 * one, else in line before the start lead.
 */
export function withOwnCapacitors(plan: MotorPlan, motor: WoundMotor, fitted: FittedMotor): MotorPlan {
  const { startMicrofarads, runBesideMicrofarads } = fitted.gear;
  if (plan.lands.startOut !== "motor" || !feedingOf(motor).shaftSwitch || startMicrofarads === null)
    return plan;
  const start = new Set(
    motor.coils.filter(({ winding }) => winding === "start").flatMap(({ from, to }) => [from, to]),
  );
  const lead = motor.leads.find(({ junction, id }) => start.has(junction) && plan.landings[id] !== undefined);
  const { startPlated, sources, runVolts } = fitted.rating;
  const value = startPlated
    ? `${startPlated.lowMicrofarads}–${startPlated.highMicrofarads} µF${startPlated.volts ? `, ${startPlated.volts} V or higher` : ""}`
    : "its band by the motor’s plate";
  const read = motor.coils.some(({ winding, id }) => winding === "start" && !motor.inside.includes(id));
  const work: PartWork[] = [
    {
      device: "motor-start",
      change: "on-motor",
      does: `The start capacitor (${value}) belongs on the motor, in its own wart: see that it is there, whole, and back in line.${lead ? " A motor without a wart takes it in line before the start lead." : ""}`,
      because: `${read ? "The start winding read through, so that the capacitor was lifted or bridged then. " : ""}${
        sources["start capacitor"]?.kind === "plate"
          ? ""
          : "No plate says its band here: the label of the one that is there. "
      }Straight on the line the start winding burns.`,
    },
  ];
  if (runBesideMicrofarads)
    work.push({
      device: "motor-run",
      change: "on-motor",
      does: `The run capacitor (${runBesideMicrofarads} µF${runVolts ? `, ${runVolts} V or higher` : ""}) belongs on the motor too, beside the start capacitor and its switch.`,
      because:
        "It stays in line with the start winding for good; the start capacitor goes out near three quarters of speed.",
    });
  return { ...plan, parts: [...plan.parts, ...work] };
}

/** Volts by which a relay suits: between what it may pick up at and what holds it, by the machine model. */
function relayVolts(
  plan: MotorPlan,
  motor: WoundMotor,
  fitted: FittedMotor,
  relay: string,
): { pickUpVolts: number; dropOutVolts: number } | null {
  const run = statesOf(plan.compartment).find(({ calls }) => calls.length > 0);
  if (!run) return null;
  const circuit = stateCircuit(plan, hungMotor(plan, motor, fitted), run);
  const coilVolts = (slip: number, closed: boolean) => {
    const branches = circuit.machine.branches.map((b) =>
      b.kind === "switch" && b.id === relay ? { ...b, closed } : b,
    );
    const solution = solve({ ...circuit.machine, branches }, slip);
    return abs(solution?.branches.get(`${relay}-coil`)?.volts ?? ZERO);
  };
  const running = 1 - (fitted.rating.rpm * fitted.rating.poles) / (120 * fitted.rating.hertz);
  const pickUpVolts = Math.round(coilVolts(OUT_AT_SLIP, true));
  const dropOutVolts = Math.round(
    DROP_OUT_SHARE * Math.min(coilVolts(running, false), coilVolts(OUT_AT_SLIP, false)),
  );
  const heldAtRest = coilVolts(1, true);
  return pickUpVolts > OVER_REST * heldAtRest && dropOutVolts > 0 ? { pickUpVolts, dropOutVolts } : null;
}

/** A relay has to tell the moving shaft from the standing one: its coil's volts rise by this much at least. */
const OVER_REST = 1.03;

/** The plan with the start gear's wires off: no relay would know this motor's start from its run. */
function withoutStartGear(plan: MotorPlan, devices: readonly string[]): MotorPlan {
  const ends = new Set(
    plan.compartment.devices
      .filter(({ id }) => devices.includes(id))
      .flatMap(({ terminals }) => terminals.map(({ id }) => id)),
  );
  const off = plan.compartment.wires.filter(({ from, to }) => ends.has(from) || ends.has(to));
  return {
    ...plan,
    lands: { ...plan.lands, startOut: "motor" },
    compartment: { ...plan.compartment, wires: plan.compartment.wires.filter((wire) => !off.includes(wire)) },
    removed: [...plan.removed, ...off],
    cautions: [
      ...plan.cautions,
      "The start capacitor and its relay come out of the circuit: the plate names a run capacitor alone, and no relay would tell this motor’s start from its run.",
    ],
  };
}

type CapacitorPart = Extract<Part, { kind: "capacitor" }>;
type RelayPart = Extract<Part, { kind: "potential-relay" }>;

/** Of the band's middle, within which a start capacitor is of the same band. */
const SAME_BAND = 0.15;

function capacitorWork(device: Device, part: CapacitorPart, need: StartNeed, band: string): PartWork {
  const suits = Math.abs(part.microfarads / need.microfarads - 1) <= SAME_BAND && part.volts >= need.volts;
  return {
    device: device.id,
    change: part.stated ? (suits ? "kept" : "replace") : "fit",
    does: !part.stated
      ? `The ${device.name}: use ${band}. Read its label; change it where it says otherwise.`
      : suits
        ? `The ${device.name} stays: ${part.microfarads} µF, ${part.volts} V.`
        : `Replace the ${device.name} (${part.microfarads} µF, ${part.volts} V): use ${band}.`,
    because: need.plated
      ? "Same band, volts equal or higher, never lower."
      : "Figured from the windings: an estimate; the plate’s band decides.",
  };
}

/** A relay this far from what the model figures is another relay; the model is good to a fifth. */
const RELAY_NEAR = 0.25;

function relayWork(
  device: Device,
  part: RelayPart,
  volts: { pickUpVolts: number; dropOutVolts: number },
): PartWork {
  const suits = Math.abs(part.pickUpVolts / volts.pickUpVolts - 1) <= RELAY_NEAR;
  const words = `one that picks up near ${volts.pickUpVolts} V and drops out under ${volts.dropOutVolts} V`;
  return {
    device: device.id,
    change: part.stated ? (suits ? "kept" : "replace") : "fit",
    does: !part.stated
      ? `The ${device.name} has to be ${words}. See what is there; change it where it is not.`
      : suits
        ? `The ${device.name} stays: it picks up at ${part.pickUpVolts} V.`
        : `Replace the ${device.name} (picks up at ${part.pickUpVolts} V) by ${words}.`,
    because:
      "Figured by the machine model, good to about a fifth; the maker’s list for this motor comes first.",
  };
}

function bandWords({ rating }: FittedMotor, need: StartNeed): string {
  const { startPlated } = rating;
  return startPlated
    ? `${Math.round(startPlated.lowMicrofarads)}–${Math.round(startPlated.highMicrofarads)} µF, ${need.volts} V or higher`
    : `about ${Math.round(need.microfarads)} µF by estimate, ${need.volts} V or higher`;
}

function withPart(
  plan: MotorPlan,
  id: string,
  values: Partial<CapacitorPart> | Partial<RelayPart>,
): MotorPlan {
  const devices = plan.compartment.devices.map((device) => ({
    ...device,
    parts: device.parts.map((part) => (part.id === id ? ({ ...part, ...values } as Part) : part)),
  }));
  return { ...plan, compartment: { ...plan.compartment, devices } };
}
