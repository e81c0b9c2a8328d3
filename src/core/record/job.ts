import type { Ask } from "../identify/ask";
import type { Observation } from "../identify/observation";
import type { ReadingSheetInput } from "../identify/sheet";
import { LEAD_LIMITS, type Lead } from "../motor/lead";
import type { TypedPlate } from "../motor/plate";
import { cableOhmsEachWay } from "../ohms/cable";
import type { Meter } from "../ohms/readingError";
import type { OhmsShown } from "../quantity/ohms";
import { inOrder } from "./factOrder";
import {
  type CapacitorChoice,
  type ChosenMotor,
  type Conditions,
  changeBy,
  type Fact,
  type FactBody,
  type LabelText,
  type MachinePlace,
  type ProbeAbout,
  type Reference,
} from "./facts";
import {
  emptyDraft,
  type JobDraft,
  type KeptCapacitorTest,
  type KeptInsulationTest,
  type ProofDraft,
  type SafeDraft,
  type SafeStepDone,
  type Shelved,
  type UsedPart,
} from "./jobDraft";
import type { VisitedUnit } from "./nouns/unit";
import { probedAbout } from "./probedAbout";
import { type WiringFacts, wiringFacts } from "./wiringFacts";

/** A reading as it stands in the job's table. */
export interface KeptReading {
  readonly fact: string;
  readonly typed: string;
  readonly shown: OhmsShown;
  /** False once a later reading of the same place was entered: kept, struck through. */
  readonly standing: boolean;
}

export interface KeptPairReading extends KeptReading {
  readonly between: readonly [string, string];
}

export interface KeptShellReading extends KeptReading {
  readonly lead: string;
}

/** The gate as it stands. */
export interface JobSafe extends Omit<SafeDraft, "steps"> {
  readonly steps: readonly SafeStepDone[];
}

/** What a job's facts come to: the state a page shows. Derived, never stored. */
export interface Job extends WiringFacts {
  readonly title: string;
  /** The unit it is a visit of; null while nobody named one. */
  readonly unit: VisitedUnit | null;
  /** Where it stands in lists. */
  readonly shelved: Shelved;
  readonly leads: readonly Lead[];
  readonly pairReadings: readonly KeptPairReading[];
  readonly shellReadings: readonly KeptShellReading[];
  /** What the plate or the machine tells, typed at the probe. */
  readonly about: ProbeAbout;
  /** What the probing is to find out. */
  readonly ask: Ask;
  /** What was seen beside the ohms, the latest of each lead. */
  readonly observed: readonly Observation[];
  readonly meter: Meter;
  readonly conditions: Conditions;
  /** What the readings are held against; null when nothing was given, or it was taken away again. */
  readonly reference: Reference | null;
  /** Insulation tests of this visit and those carried over from earlier ones, oldest first. */
  readonly insulation: readonly KeptInsulationTest[];
  /** Since when the motor has been left to cool, and the leads to read again then; null when it was not, or they were. */
  readonly cooling: { readonly since: string; readonly leads: readonly string[] } | null;
  readonly label: LabelText;
  /** Plates as typed. The new motor's begins as that of the chosen one; what is typed since comes on top. */
  readonly plates: { readonly old: TypedPlate; readonly new: TypedPlate };
  readonly place: MachinePlace;
  readonly chosen: ChosenMotor | null;
  /** Parts of the stock in use on this job, each once, those given back left out. */
  readonly used: readonly UsedPart[];
  /** Steps of checklists that are done. */
  readonly ticked: readonly string[];
  readonly capacitor: CapacitorChoice;
  readonly capacitorTests: readonly KeptCapacitorTest[];
  /** The gate before anything is touched. */
  readonly safe: JobSafe;
  /** The proof after the first power. */
  readonly proof: Readonly<ProofDraft>;
  /** The facts an undo and a redo would name next; null when there is none. */
  readonly undo: Fact | null;
  readonly redo: Fact | null;
  /** When the last fact was made; null for a job without facts. */
  readonly lastAt: string | null;
}

/**
 * The job that these facts come to.
 *
 * @param facts as the server received them, then what it has not. See {@link inOrder}.
 * @param device whose facts undo and redo go through; every device's where none is given.
 */
export function deriveJob(facts: readonly Fact[], device?: string): Job {
  const ordered = inOrder(facts);
  const { live, undo, redo } = history(ordered, device);
  const draft = emptyDraft();
  for (const one of live) changeBy(draft, one);
  const leads = [...draft.leads.values()];
  const here = (id: string) => draft.leads.has(id);
  return {
    title: draft.title,
    unit: draft.unit,
    shelved: draft.shelved,
    leads,
    pairReadings: keptPairs(draft.pairReadings).filter((r) => r.between.every(here)),
    shellReadings: keptShells(draft.shellReadings).filter((r) => here(r.lead)),
    about: draft.about,
    ask: draft.ask,
    observed: [...draft.observed.values()].filter((one) => !("lead" in one) || here(one.lead)),
    meter: draft.meter,
    conditions: draft.conditions,
    reference: draft.reference,
    insulation: [...draft.insulation].sort((a, b) => (a.on === b.on ? 0 : a.on < b.on ? -1 : 1)),
    cooling: draft.cooling,
    ...wiringFacts(draft),
    label: draft.label,
    plates: draft.plates,
    place: draft.place,
    chosen: draft.chosen,
    used: [...draft.used.values()].filter(({ count }) => count > 0),
    ticked: [...draft.ticks].flatMap(([step, done]) => (done ? [step] : [])),
    capacitor: draft.capacitor,
    capacitorTests: draft.capacitorTests,
    safe: { ...draft.safe, steps: [...draft.safe.steps.values()] },
    proof: draft.proof,
    undo,
    redo,
    lastAt: ordered.at(-1)?.at ?? null,
  };
}

/** The job that facts will come to once this is entered after them. */
export function foreseenJob(facts: readonly Fact[], body: FactBody): Job {
  return deriveJob([...facts, { id: "", at: facts.at(-1)?.at ?? "", by: "", body }]);
}

/**
 * Takes undone facts out. An undo names a fact; an undo that names an undo is a redo. A new fact of the same device after
 * an undo ends what could be redone.
 */
function history(
  ordered: readonly Fact[],
  device: string | undefined,
): { live: readonly Fact[]; undo: Fact | null; redo: Fact | null } {
  const isOwn = (f: Fact) => device === undefined || f.made?.device === device;
  const undone = ordered.filter((f) => f.body.kind === "undone");
  // Of very many entries few were taken back, and mostly none.
  if (undone.length === 0) return { live: ordered, undo: ordered.findLast(isOwn) ?? null, redo: null };
  const gone = new Set<string>();
  for (const f of undone.toReversed()) if (f.body.kind === "undone" && !gone.has(f.id)) gone.add(f.body.fact);
  const undoing = new Set(undone.map(({ id }) => id));
  const live = ordered.filter((f) => f.body.kind !== "undone" && !gone.has(f.id));
  let undo: Fact | null = null;
  let redo: Fact | null = null;
  for (const f of ordered) {
    if (gone.has(f.id) || !isOwn(f)) continue;
    if (f.body.kind !== "undone") [undo, redo] = [f, null];
    else if (!undoing.has(f.body.fact)) redo = f;
  }
  return { live, undo, redo };
}

/** Which readings no later one of the same place struck through. */
function standing(places: readonly string[]): readonly boolean[] {
  const latest = new Map(places.map((place, i) => [place, i]));
  return places.map((place, i) => latest.get(place) === i);
}

function keptPairs(all: JobDraft["pairReadings"]): KeptPairReading[] {
  const stands = standing(all.map(({ between }) => pairKey(between)));
  return all.map((one, i) => ({
    fact: one.fact,
    between: one.between,
    typed: one.typed,
    shown: shownOf(one),
    standing: stands[i] === true,
  }));
}

function keptShells(all: JobDraft["shellReadings"]): KeptShellReading[] {
  const stands = standing(all.map(({ lead }) => lead));
  return all.map((one, i) => ({
    fact: one.fact,
    lead: one.lead,
    typed: one.typed,
    shown: shownOf(one),
    standing: stands[i] === true,
  }));
}

/** The same word for a pair of leads read either way around. */
export function pairKey([a, b]: readonly [string, string]): string {
  return a < b ? `${a} ${b}` : `${b} ${a}`;
}

function shownOf(r: { ohms?: number | undefined; open?: true | undefined }): OhmsShown {
  return r.ohms === undefined ? { open: true } : { ohms: r.ohms };
}

/** The sheet that identification takes; null while there are too few or too many leads. */
export function sheetOf(job: Job): ReadingSheetInput | null {
  if (job.leads.length < LEAD_LIMITS.fewest || job.leads.length > LEAD_LIMITS.most) return null;
  return {
    format: "odd-lead/reading-sheet@1",
    leads: job.leads.map((lead) => ({ ...lead })),
    // Earlier readings of a pair too: one that was open tells a hot motor from a broken one, one alike confirms.
    readings: latestOfEach(job.pairReadings).map((r) => ({
      between: [r.between[0], r.between[1]],
      ...inSheet(r.shown),
    })),
    frame: job.shellReadings.filter((r) => r.standing).map((r) => ({ lead: r.lead, ...inSheet(r.shown) })),
    meter: { ...job.meter },
    ...(job.conditions.windingC === undefined ? {} : { windingTemperatureC: job.conditions.windingC }),
    cable: { ohmsEachWay: cableOhmsEachWayOf(job) },
    about: aboutOf(job),
    inLine: job.about.startInLine ? ["start"] : [],
    ask: job.ask,
    told: [...job.observed],
  };
}

/** Of a pair that was read over and over the latest readings: as many as a full sheet has room for. */
const MOST_OF_A_PAIR = 10;

function latestOfEach(readings: Job["pairReadings"]): Job["pairReadings"] {
  const taken = new Map<string, number>();
  return readings
    .toReversed()
    .filter(({ between }) => {
      const pair = pairKey(between);
      const count = (taken.get(pair) ?? 0) + 1;
      taken.set(pair, count);
      return count <= MOST_OF_A_PAIR;
    })
    .toReversed();
}

function aboutOf(job: Job): ReadingSheetInput["about"] {
  const { startInLine: _, ...about } = probedAbout(job).about;
  return about;
}

/** Ohms that one conductor of the cable adds to every reading twice; 0 without a cable. */
export function cableOhmsEachWayOf({ conditions }: Pick<Job, "conditions">): number {
  return conditions.cable ? cableOhmsEachWay(conditions.cable) : 0;
}

function inSheet(shown: OhmsShown): { ohms: number } | { open: true } {
  return "open" in shown ? { open: true } : { ohms: shown.ohms };
}
