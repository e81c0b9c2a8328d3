import { joinedCircuit } from "../../machine/joinedCircuit";
import type { Part } from "../compartment";
import type { MotorPlan } from "../plan";
import { type CheckFinding, finding } from "./finding";
import type { MotorToRun } from "./outcome";

/** A capacitor's value beside the plate's: its tolerance, and no use at all. */
const VALUE_NEAR = 0.1;
const VALUE_FAR = 0.3;
/** Of the middle of a start capacitor's band: the same band, and another by far. */
const BAND_NEAR = 0.15;
const BAND_FAR = 0.3;

/** Capacitors of another value or of fewer volts than the motor's plate names. */
export function capacitorValueFindings(plan: MotorPlan, run: MotorToRun): CheckFinding[] {
  return [...runValue(plan, run), ...startValue(plan, run)];
}

function runValue(plan: MotorPlan, { fitted }: MotorToRun): CheckFinding[] {
  const { runMicrofarads, runVolts, sources } = fitted.rating;
  if (runMicrofarads === null || sources["run capacitor"]?.kind === "assumed") return [];
  const { capacitor } = plan.compartment.offers;
  if (!capacitor || !servesTheMotor(plan, capacitor.startSide)) return [];
  const device = plan.compartment.devices.find(({ id }) => id === capacitor.device);
  const part = device?.parts.find(
    (p) =>
      p.kind === "capacitor" &&
      !p.start &&
      (plan.lands.startOut === "equipment" || [p.from, p.to].includes(capacitor.startSide)),
  );
  if (part?.kind !== "capacitor") return [];
  const off = Math.abs(part.microfarads / runMicrofarads - 1);
  const place = capacitor.startSide;
  return [
    ...(off <= VALUE_NEAR
      ? []
      : [
          finding({
            code: "capacitor-value",
            weight: off > VALUE_FAR ? "stop" : "again",
            places: [place],
            says: `The capacitor has ${part.microfarads} µF where the new motor’s plate says ${runMicrofarads}: ${part.microfarads < runMicrofarads ? "weak start, hot, it hums" : "start winding and capacitor overloaded"}.`,
            mend: `A capacitor of ${runMicrofarads} µF.`,
          }),
        ]),
    ...(runVolts !== null && part.volts < runVolts ? [fewerVolts(part, runVolts, place)] : []),
  ];
}

/** A lead of the motor, or the gear that starts it, stands on the capacitor: a motor with its own wart leaves it be. */
function servesTheMotor(
  { compartment: made, landings, jumpers, lands }: MotorPlan,
  startSide: string,
): boolean {
  if (lands.startOut === "equipment") return true;
  const { nodeOf } = joinedCircuit(
    [],
    [...made.wires, ...jumpers].map(({ from, to }): [string, string] => [from, to]),
  );
  return Object.values(landings).some((place) => nodeOf(place) === nodeOf(startSide));
}

function startValue(plan: MotorPlan, { fitted }: MotorToRun): CheckFinding[] {
  const plated = fitted.rating.startPlated;
  if (plan.lands.startOut !== "equipment" || !plated) return [];
  const middle = (plated.lowMicrofarads + plated.highMicrofarads) / 2;
  return plan.compartment.devices.flatMap(({ parts }) =>
    parts.flatMap((part) => {
      if (part.kind !== "capacitor" || !part.start) return [];
      const off = Math.abs(part.microfarads / middle - 1);
      return [
        ...(off <= BAND_NEAR
          ? []
          : [
              finding({
                code: "start-gear",
                weight: off > BAND_FAR ? "stop" : "again",
                places: [part.from, part.to],
                says: `The start capacitor has ${part.microfarads} µF where the motor’s plate says ${plated.lowMicrofarads}–${plated.highMicrofarads}: another band ${part.microfarads < middle ? "starts weak, and the start winding stays in too long" : "overloads the start winding, and the relay with it"}.`,
                mend: `Replace it: ${plated.lowMicrofarads}–${plated.highMicrofarads} µF, the same band.`,
              }),
            ]),
        ...(plated.volts !== undefined && part.volts < plated.volts
          ? [fewerVolts(part, plated.volts, part.from)]
          : []),
      ];
    }),
  );
}

function fewerVolts(part: Extract<Part, { kind: "capacitor" }>, plated: number, place: string): CheckFinding {
  return finding({
    code: part.start ? "start-gear" : "capacitor-over-volts",
    weight: "stop",
    places: [place],
    says: `The ${part.start ? "start " : ""}capacitor is rated ${part.volts} V where the plate asks for ${plated} V: it fails.`,
    mend: `A capacitor of ${plated} V or higher, never lower.`,
  });
}
