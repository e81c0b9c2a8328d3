import { digits } from "../quantity/number";
import { type Combination, combinations, type RunNeed } from "./combinations";
import type { ShelfCapacitor } from "./shelf";
import { LIFE_HOURS, type LifeClass, RUN_VOLTS, SAFETY_CLASSES, USUAL_TOLERANCE_PERCENT } from "./values";

/** The capacitor that is in the equipment now, as its label says. */
export type PresentCapacitor =
  | { readonly kind: "none" }
  | { readonly kind: "single"; readonly microfarads: number; readonly volts?: number }
  | {
      readonly kind: "dual";
      readonly hermMicrofarads: number;
      readonly fanMicrofarads: number;
      readonly volts?: number;
    };

/** What a run capacitor is chosen for. */
export interface RunCase {
  /** The NEW motor's plate. */
  readonly newMotor: { readonly microfarads: number; readonly volts?: number };
  readonly present: PresentCapacitor;
  readonly hertz: 50 | 60;
  readonly tolerancePercent?: number;
  /** Where mains are 50 Hz, the class of IEC 60252-1 that the old one had. */
  readonly lifeClass?: LifeClass;
}

/** One way of doing it, with the parts it takes. */
export interface RunSchool {
  readonly school: "keep-one-dual" | "own-capacitor" | "single";
  readonly title: string;
  readonly says: readonly string[];
  /** The dual to fit where one is; its compressor side is never changed. */
  readonly dual?: {
    readonly hermMicrofarads: number;
    readonly fanMicrofarads: number;
    readonly volts: number;
  };
  /** Duals on the shelf that serve. */
  readonly duals: readonly ShelfCapacitor[];
  /** Ways to make the motor's own value from the shelf. */
  readonly combinations: readonly Combination[];
}

export interface RunPlan {
  readonly need: RunNeed;
  /** Both schools where there are two, the one that asks for fewer parts first. */
  readonly schools: readonly RunSchool[];
  readonly notes: readonly string[];
}

/** The volts a run capacitor must stand at least: the plate's, or the old one's, never lower than either. */
export function voltsNeeded({ newMotor, present, hertz }: RunCase): number {
  const given = [newMotor.volts, present.kind === "none" ? undefined : present.volts].filter(
    (volts): volts is number => volts !== undefined,
  );
  if (given.length > 0) return Math.max(...given);
  return RUN_VOLTS[hertz][hertz === 60 ? 0 : 1];
}

/** The run capacitor of a new motor: its own value, the dual kept for the compressor, both ways where there are two. */
export function planRun(runCase: RunCase, shelf: readonly ShelfCapacitor[]): RunPlan {
  const { newMotor, present, hertz } = runCase;
  const volts = voltsNeeded(runCase);
  const tolerancePercent = runCase.tolerancePercent ?? USUAL_TOLERANCE_PERCENT;
  const need = { microfarads: newMotor.microfarads, volts, tolerancePercent };
  const made = combinations(shelf, need);
  const own: RunSchool = {
    school: present.kind === "dual" ? "own-capacitor" : "single",
    title:
      present.kind === "dual" ? "Give the new motor its own capacitor" : "One run capacitor for the motor",
    says:
      present.kind === "dual"
        ? [
            `A single of ${digits(need.microfarads, 4)} µF, ${volts} V or higher, on the motor’s two capacitor leads.`,
            "FAN of the dual stays empty; the compressor keeps C and HERM as they are.",
          ]
        : [
            `${digits(need.microfarads, 4)} µF, ${volts} V or higher, as the new motor’s plate says.`,
            ...changedWords(present, need),
          ],
    duals: [],
    combinations: made,
  };
  const schools = present.kind === "dual" ? [keepOneDual(present, need, shelf), own] : [own];
  return { need, schools, notes: notesFor(runCase, volts, hertz) };
}

function keepOneDual(
  present: Extract<PresentCapacitor, { kind: "dual" }>,
  need: RunNeed,
  shelf: readonly ShelfCapacitor[],
): RunSchool {
  const fits = isWithin(present.fanMicrofarads, need.microfarads, need.tolerancePercent);
  const dual = {
    hermMicrofarads: present.hermMicrofarads,
    fanMicrofarads: need.microfarads,
    volts: Math.max(need.volts, present.volts ?? 0),
  };
  const duals = shelf.filter(
    (part) =>
      part.kind === "dual" &&
      part.count > 0 &&
      part.volts >= dual.volts &&
      isWithin(part.hermMicrofarads, dual.hermMicrofarads, need.tolerancePercent) &&
      isWithin(part.fanMicrofarads, dual.fanMicrofarads, need.tolerancePercent),
  );
  return {
    school: "keep-one-dual",
    title: "Keep one dual capacitor",
    says: fits
      ? [
          `The dual stays if it tests good: its FAN side of ${digits(present.fanMicrofarads, 4)} µF is what the new motor asks for.`,
          "The motor’s second capacitor lead is capped on its own.",
        ]
      : [
          `The FAN side changes from ${digits(present.fanMicrofarads, 4)} to ${digits(need.microfarads, 4)} µF, the compressor’s side stays ${digits(present.hermMicrofarads, 4)} µF: a dual of ${digits(dual.hermMicrofarads, 4)} + ${digits(dual.fanMicrofarads, 4)} µF, ${dual.volts} V or higher.`,
          "The motor’s second capacitor lead is capped on its own.",
          "C carries both motors: losing it stops both.",
        ],
    ...(fits ? {} : { dual }),
    duals,
    combinations: [],
  };
}

function changedWords(present: PresentCapacitor, need: RunNeed): string[] {
  if (present.kind !== "single") return [];
  if (
    isWithin(present.microfarads, need.microfarads, need.tolerancePercent) &&
    (present.volts ?? 0) >= need.volts
  )
    return ["The one in place has that value and volts: test it, and keep it if it is good and young."];
  return [
    `The old one of ${digits(present.microfarads, 4)} µF goes: too little makes a weak, hot motor, too much overloads the start winding.`,
  ];
}

function notesFor({ newMotor, present, lifeClass }: RunCase, volts: number, hertz: 50 | 60): string[] {
  const old = present.kind === "none" ? undefined : present.volts;
  return [
    ...(newMotor.volts === undefined && old === undefined
      ? [
          `Neither plate nor old label gives volts: ${volts} V is the usual least at ${hertz} Hz. Higher is always allowed.`,
        ]
      : []),
    ...(old !== undefined && newMotor.volts !== undefined && old > newMotor.volts
      ? [
          `The old one was for ${old} V: the new one is not taken lower, though the plate says ${newMotor.volts} V.`,
        ]
      : []),
    "Volts may be higher, never lower: 370 may become 440, 440 may not become 370.",
    ...(hertz === 50
      ? [
          lifeClass === undefined
            ? "50 Hz: take a class of IEC 60252-1 no shorter-lived than the old one’s (A 30 000 h, B 10 000 h, C 3 000 h, D 1 000 h)."
            : `50 Hz: class ${lifeClass} of IEC 60252-1 or longer-lived, ${LIFE_HOURS[lifeClass].toLocaleString("en-GB").replace(",", " ")} hours or more.`,
          `The safety class not lower than the old one’s: ${Object.entries(SAFETY_CLASSES)
            .map(([name, words]) => `${name} ${words}`)
            .join("; ")}.`,
        ]
      : []),
    "Strap it down, terminals covered. The can’s diameter decides the bracket, its height does not.",
  ];
}

/** Whether a value lies within so many per cent of another. */
export function isWithin(microfarads: number, wanted: number, tolerancePercent: number): boolean {
  return Math.abs(microfarads - wanted) <= (wanted * tolerancePercent) / 100 + 1e-9;
}
