import type { Observation } from "../identify/hints";
import type { Ask, ReadingSheetInput } from "../identify/sheet";
import { LEAD_LIMITS } from "../identify/sheet";
import type { Lead } from "../motor/lead";
import type { TypedPlate } from "../motor/plate";
import { cableOhmsEachWay } from "../ohms/cable";
import type { Meter } from "../ohms/readingError";
import type { OhmsShown } from "../quantity/ohms";
import type {
  CapacitorChoice,
  CapacitorTest,
  ChosenMotor,
  Conditions,
  Fact,
  InsulationTest,
  LabelText,
  Place,
  Reference,
  Told,
} from "./facts";
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

/** An insulation test with the fact it came by. */
export interface KeptInsulationTest extends InsulationTest {
  readonly fact: string;
}

/** A part taken from the stock for this job. */
export interface UsedPart {
  readonly item: string;
  readonly name: string;
  readonly count: number;
}

/** A capacitor's test with the fact it came by and its day. */
export interface KeptCapacitorTest extends CapacitorTest {
  readonly fact: string;
  readonly at: string;
}

/** What a job's facts come to: the state a page shows. Derived, never stored. */
export interface Job extends WiringFacts {
  readonly title: string;
  readonly leads: readonly Lead[];
  readonly pairReadings: readonly KeptPairReading[];
  readonly shellReadings: readonly KeptShellReading[];
  readonly told: Told;
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
  readonly place: Place;
  readonly chosen: ChosenMotor | null;
  /** Parts of the stock in use on this job, each once, those given back left out. */
  readonly used: readonly UsedPart[];
  /** Steps of checklists that are done. */
  readonly ticked: readonly string[];
  readonly capacitor: CapacitorChoice;
  readonly capacitorTests: readonly KeptCapacitorTest[];
  /** The facts an undo and a redo would name next; null when there is none. */
  readonly undo: Fact | null;
  readonly redo: Fact | null;
  /** When the last fact was made; null for a job without facts. */
  readonly lastAt: string | null;
}

/** A meter nobody described: one per cent and two counts of a tenth of an ohm. */
export const USUAL_METER: Meter = { percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0 };

/** Nothing known of how the motor was: copper, as nearly all are, at no known temperature. */
const USUAL_CONDITIONS: Conditions = { conductor: "copper" };
const EMPTY_LABEL: LabelText = { unit: "", who: "", capacitorMicrofarads: "", capacitorVolts: "" };

/** The job that these facts come to, in whatever order they arrived. */
export function deriveJob(facts: readonly Fact[]): Job {
  const ordered = [...new Map(facts.map((f) => [f.id, f])).values()].sort((a, b) => (a.id < b.id ? -1 : 1));
  const { live, undo, redo } = history(ordered);
  const last = <K extends Fact["body"]["kind"]>(kind: K) =>
    live.map((f) => f.body).findLast((b): b is Extract<Fact["body"], { kind: K }> => b.kind === kind);
  const leads = standingLeads(live);
  const here = new Set(leads.map((lead) => lead.id));
  return {
    title: last("title")?.title ?? "",
    leads,
    pairReadings: pairReadings(live).filter((r) => r.between.every((id) => here.has(id))),
    shellReadings: shellReadings(live).filter((r) => here.has(r.lead)),
    told: last("told")?.told ?? {},
    ask: last("ask")?.ask ?? "all",
    observed: standingObservations(live).filter((one) => !("lead" in one) || here.has(one.lead)),
    meter: last("meter")?.meter ?? USUAL_METER,
    conditions: last("conditions")?.conditions ?? USUAL_CONDITIONS,
    reference: standingReference(last("reference")?.reference ?? null),
    insulation: live
      .flatMap((f) => (f.body.kind === "insulation" ? [{ ...f.body.test, fact: f.id }] : []))
      .sort((a, b) => (a.on === b.on ? 0 : a.on < b.on ? -1 : 1)),
    cooling: coolingOf(live),
    ...wiringFacts(live),
    label: last("label")?.text ?? EMPTY_LABEL,
    plates: typedPlates(live),
    place: last("place")?.place ?? {},
    chosen: last("chosen")?.motor ?? null,
    used: usedParts(live),
    ticked: tickedSteps(live),
    capacitor: last("capacitor")?.choice ?? { present: "" },
    capacitorTests: live.flatMap((f) =>
      f.body.kind === "capacitor-test" ? [{ ...f.body.test, fact: f.id, at: f.at }] : [],
    ),
    undo,
    redo,
    lastAt: ordered.at(-1)?.at ?? null,
  };
}

/**
 * Takes undone facts out. An undo names a fact; an undo that names an undo is a redo. A new fact after an undo ends
 * what could be redone.
 */
function history(ordered: readonly Fact[]): { live: Fact[]; undo: Fact | null; redo: Fact | null } {
  const gone = new Set<string>();
  for (const f of [...ordered].reverse())
    if (f.body.kind === "undone" && !gone.has(f.id)) gone.add(f.body.fact);
  const live = ordered.filter((f) => f.body.kind !== "undone" && !gone.has(f.id));
  const undoing = new Set(ordered.filter((f) => f.body.kind === "undone").map((f) => f.id));
  const lastUndo = ordered.findLast(
    (f) => f.body.kind === "undone" && !gone.has(f.id) && !undoing.has(f.body.fact),
  );
  const lastLive = live.at(-1) ?? null;
  const redo = lastUndo && (!lastLive || lastLive.id < lastUndo.id) ? lastUndo : null;
  return { live, undo: lastLive, redo };
}

/** A reference without lines takes the one before it away. */
function standingReference(reference: Reference | null): Reference | null {
  return reference && reference.lines.length > 0 ? reference : null;
}

/** Cooling ends with the next reading of one of its leads. */
function coolingOf(live: readonly Fact[]): Job["cooling"] {
  const at = live.findLastIndex((f) => f.body.kind === "cooling");
  const begun = live[at];
  if (begun?.body.kind !== "cooling") return null;
  const { leads } = begun.body;
  const readAgain = live
    .slice(at + 1)
    .some((f) => f.body.kind === "pair-reading" && f.body.between.some((lead) => leads.includes(lead)));
  return readAgain ? null : { since: begun.at, leads };
}

/** The key of what was seen of the kind of motor. */
const OF_KIND = "";

function standingObservations(live: readonly Fact[]): Observation[] {
  const seen = new Map<string, Observation>();
  for (const { body } of live) {
    if (body.kind === "observed")
      seen.set("lead" in body.observed ? body.observed.lead : OF_KIND, body.observed);
    if (body.kind === "observed-gone") seen.delete(body.lead ?? OF_KIND);
  }
  return [...seen.values()];
}

function typedPlates(live: readonly Fact[]): Job["plates"] {
  const plates: { old: TypedPlate; new: TypedPlate } = { old: {}, new: {} };
  for (const { body } of live) {
    if (body.kind === "chosen") plates.new = body.motor ? { ...body.motor.plate } : {};
    if (body.kind !== "plate") continue;
    const { [body.field]: _, ...rest } = plates[body.motor];
    plates[body.motor] = body.typed === "" ? rest : { ...rest, [body.field]: body.typed };
  }
  return plates;
}

function tickedSteps(live: readonly Fact[]): string[] {
  const steps = new Map<string, boolean>();
  for (const { body } of live) if (body.kind === "tick") steps.set(body.step, body.done);
  return [...steps].flatMap(([step, done]) => (done ? [step] : []));
}

function usedParts(live: readonly Fact[]): UsedPart[] {
  const parts = new Map<string, UsedPart>();
  for (const { body } of live)
    if (body.kind === "used") parts.set(body.item, { item: body.item, name: body.name, count: body.count });
  return [...parts.values()].filter(({ count }) => count > 0);
}

function standingLeads(live: readonly Fact[]): Lead[] {
  const leads = new Map<string, Lead>();
  for (const { body } of live) {
    if (body.kind === "lead") leads.set(body.lead.id, body.lead);
    if (body.kind === "lead-gone") leads.delete(body.lead);
  }
  return [...leads.values()];
}

function pairReadings(live: readonly Fact[]): KeptPairReading[] {
  const all = live.flatMap((f) => (f.body.kind === "pair-reading" ? [{ fact: f.id, ...f.body }] : []));
  const key = (r: { between: readonly string[] }) => [...r.between].sort().join(" ");
  return all.map((r, i) => ({
    fact: r.fact,
    between: r.between,
    typed: r.typed,
    shown: shownOf(r),
    standing: !all.slice(i + 1).some((later) => key(later) === key(r)),
  }));
}

function shellReadings(live: readonly Fact[]): KeptShellReading[] {
  const all = live.flatMap((f) => (f.body.kind === "shell-reading" ? [{ fact: f.id, ...f.body }] : []));
  return all.map((r, i) => ({
    fact: r.fact,
    lead: r.lead,
    typed: r.typed,
    shown: shownOf(r),
    standing: !all.slice(i + 1).some((later) => later.lead === r.lead),
  }));
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
    readings: job.pairReadings.map((r) => ({ between: [r.between[0], r.between[1]], ...inSheet(r.shown) })),
    frame: job.shellReadings.filter((r) => r.standing).map((r) => ({ lead: r.lead, ...inSheet(r.shown) })),
    meter: { ...job.meter },
    ...(job.conditions.windingC === undefined ? {} : { windingTemperatureC: job.conditions.windingC }),
    cable: { ohmsEachWay: cableOhmsEachWayOf(job) },
    about: aboutOf(job),
    inLine: job.told.startInLine ? ["start"] : [],
    ask: job.ask,
    told: [...job.observed],
  };
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
