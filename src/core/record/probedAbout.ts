import { type Plate, readPlate, type TypedPlate } from "../motor/plate";
import type { ProbeAbout } from "./facts";

/** What is known of the probed motor beside its ohms: told by a person, or by the plate that was typed. */
export interface ProbedAbout {
  /** What identification is told: a person's word first, the plate's where there is none. */
  readonly about: ProbeAbout;
  /** The plate's part of it. */
  readonly byPlate: ProbeAbout;
  /** Where a person's word and the plate's differ. */
  readonly clashes: readonly (keyof ProbeAbout)[];
}

/** What of a job it hangs on. */
interface Probed {
  readonly plates: { readonly old: TypedPlate; readonly new: TypedPlate };
  readonly about: ProbeAbout;
  readonly leads: readonly unknown[];
}

/** Two voltages this far apart are two settings, not a range. */
const TWO_SETTINGS = 1.6;
/** With fewer leads two voltages are sooner set by a dial than by leads, and tell nothing of the windings. */
const LEADS_FOR_TWO_VOLTAGES = 5;

/** What identification is told of a job's motor. */
export function probedAbout({ plates, about, leads }: Probed): ProbedAbout {
  const byPlate = plateTells(probedPlate(plates), leads.length);
  const given = Object.fromEntries(
    Object.entries(about).filter(([, value]) => value !== undefined),
  ) as ProbeAbout;
  const clashes = (Object.keys(byPlate) as (keyof ProbeAbout)[]).filter(
    (field) => given[field] !== undefined && given[field] !== byPlate[field],
  );
  return { about: { ...byPlate, ...given }, byPlate, clashes };
}

/** The plate of the motor whose leads are probed: the new one's, unless that is electronic or not known. */
function probedPlate(plates: Probed["plates"]): Plate {
  const next = readPlate(plates.new).plate;
  const hasWindings = Object.keys(plates.new).length > 0 && (next.kind ?? "plain") === "plain";
  return hasWindings ? next : readPlate(plates.old).plate;
}

function plateTells(plate: Plate, leads: number): ProbeAbout {
  const { phase, speeds, volts, runCapacitor, startCapacitor, rotation, kind } = plate;
  const [first] = volts ?? [];
  const last = volts?.at(-1);
  const two = first && last && last.high / first.high > TWO_SETTINGS;
  const capacitor = capacitorOf(runCapacitor !== undefined, startCapacitor !== undefined);
  return {
    ...(phase === undefined ? {} : { phase }),
    ...(speeds === undefined ? {} : { speeds }),
    ...(capacitor ? { capacitor } : {}),
    ...(first && !two ? { volts: first.high } : {}),
    ...(two && leads >= LEADS_FOR_TWO_VOLTAGES ? { dualVoltage: true } : {}),
    ...(rotation === "either" ? { reversible: true } : {}),
    ...(kind === "electronic" ? { kind: "electronic" } : {}),
  };
}

function capacitorOf(run: boolean, start: boolean): ProbeAbout["capacitor"] {
  if (run && start) return "start-and-run";
  if (run) return "run";
  return start ? "start" : undefined;
}
