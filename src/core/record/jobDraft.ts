import type { Ask } from "../identify/ask";
import type { Observation } from "../identify/observation";
import type { Lead } from "../motor/lead";
import type { TypedPlate } from "../motor/plate";
import { type Meter, USUAL_METER } from "../ohms/readingError";
import type { ProvingObservation } from "../proving/observation";
import type { TurnedLoad } from "../proving/provingSheet";
import type { Compartment } from "../wiring/compartment";
import type { Jumper } from "../wiring/plan";
import type { BoardNow } from "./nouns/boardNow";
import type { CapacitorChoice } from "./nouns/capacitorChoice";
import type { CapacitorTest } from "./nouns/capacitorTest";
import type { ChosenMotor } from "./nouns/chosenMotor";
import type { Conditions } from "./nouns/conditions";
import type { InsulationTest } from "./nouns/insulationTest";
import type { KickSeen } from "./nouns/kick";
import type { LabelText } from "./nouns/labelText";
import type { LandingChoice } from "./nouns/landingChoice";
import type { OldLead } from "./nouns/oldLead";
import type { Photo } from "./nouns/photo";
import type { Pin } from "./nouns/pin";
import type { MachinePlace } from "./nouns/place";
import type { ProbeAbout } from "./nouns/probeAbout";
import type { Reference } from "./nouns/reference";
import type { SetInside } from "./nouns/setInside";
import type { VisitedUnit } from "./nouns/unit";
import type { WiringWish } from "./nouns/wiringWish";

/** A reading as its fact has it. */
interface ReadingFact {
  readonly fact: string;
  readonly typed: string;
  readonly ohms?: number;
  readonly open?: true;
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

/** A step of the gate that was done. */
export interface SafeStepDone {
  readonly step: string;
  readonly at: string;
  readonly by: string;
  readonly volts: number | null;
}

/** The gate before anything is touched. */
export interface SafeDraft {
  onBench: boolean;
  /** Since when the power is on; null while nobody put it on. */
  poweredAt: string | null;
  steps: Map<string, SafeStepDone>;
  supply: {
    readonly between: number;
    readonly legs: readonly number[];
    readonly at: string;
    readonly by: string;
  } | null;
}

/** One line of the proof as its fact has it. */
export interface KeptObservation {
  readonly fact: string;
  readonly at: string;
  readonly by: string;
  readonly seen: ProvingObservation;
}

/** What was seen up to a mend, and what was mended. */
export interface ProofRound {
  readonly fact: string;
  readonly at: string;
  readonly by: string;
  readonly cause: string;
  readonly mended: string;
  readonly seen: readonly KeptObservation[];
}

/** The proof after the first power. */
export interface ProofDraft {
  seen: KeptObservation[];
  rounds: ProofRound[];
  load: TurnedLoad | null;
  signed: {
    readonly at: string;
    readonly by: string;
    readonly override: string | null;
    readonly unseen: readonly string[];
  } | null;
}

/** Where a job stands in lists. */
export type Shelved = "listed" | "archived" | "deleted";

/** A job while its facts are gone through in order; each kind of fact changes its part. */
export interface JobDraft {
  title: string;
  unit: VisitedUnit | null;
  shelved: Shelved;
  leads: Map<string, Lead>;
  pairReadings: (ReadingFact & { readonly between: readonly [string, string] })[];
  shellReadings: (ReadingFact & { readonly lead: string })[];
  about: ProbeAbout;
  ask: Ask;
  /** By lead, or {@link OF_KIND}. */
  observed: Map<string, Observation>;
  meter: Meter;
  conditions: Conditions;
  reference: Reference | null;
  insulation: KeptInsulationTest[];
  cooling: { readonly since: string; readonly leads: readonly string[] } | null;
  /** Of jobs from before the equipment was data. */
  landing: LandingChoice | null;
  /** Undefined while nobody chose one or none. */
  compartment: Compartment | null | undefined;
  oldLeads: Map<string, OldLead>;
  photos: Map<string, Photo>;
  pins: Map<string, Pin>;
  wish: WiringWish | null;
  board: BoardNow | null;
  kicks: Map<string, KickSeen>;
  setInside: SetInside | null;
  moved: Map<string, string>;
  wiresAdded: Map<string, Jumper>;
  wiresOff: Set<string>;
  ready: { readonly override: string | null; readonly by: string; readonly at: string } | null;
  label: LabelText;
  plates: { old: TypedPlate; new: TypedPlate };
  place: MachinePlace;
  chosen: ChosenMotor | null;
  used: Map<string, UsedPart>;
  ticks: Map<string, boolean>;
  capacitor: CapacitorChoice;
  capacitorTests: KeptCapacitorTest[];
  safe: SafeDraft;
  proof: ProofDraft;
}

/** The key of what was seen of the kind of motor. */
export const OF_KIND = "";

/** A job of which nothing is known. */
export function emptyDraft(): JobDraft {
  return {
    title: "",
    unit: null,
    shelved: "listed",
    leads: new Map(),
    pairReadings: [],
    shellReadings: [],
    about: {},
    ask: "all",
    observed: new Map(),
    meter: USUAL_METER,
    // Copper, as nearly all are, at no known temperature.
    conditions: { conductor: "copper" },
    reference: null,
    insulation: [],
    cooling: null,
    landing: null,
    compartment: undefined,
    oldLeads: new Map(),
    photos: new Map(),
    pins: new Map(),
    wish: null,
    board: null,
    kicks: new Map(),
    setInside: null,
    moved: new Map(),
    wiresAdded: new Map(),
    wiresOff: new Set(),
    ready: null,
    label: { unit: "", who: "", capacitorMicrofarads: "", capacitorVolts: "" },
    plates: { old: {}, new: {} },
    place: {},
    chosen: null,
    used: new Map(),
    ticks: new Map(),
    capacitor: { present: "" },
    capacitorTests: [],
    safe: { onBench: false, poweredAt: null, steps: new Map(), supply: null },
    proof: { seen: [], rounds: [], load: null, signed: null },
  };
}

/** Changes by hand begun anew; the draft is changed in place. */
export function forgetHandChanges(draft: JobDraft): void {
  draft.moved.clear();
  draft.wiresAdded.clear();
  draft.wiresOff.clear();
}

/** The power is on: what made the place safe holds no longer. The draft is changed in place. */
export function openGate(draft: JobDraft, at: string): void {
  draft.safe.poweredAt = at;
  draft.safe.steps.clear();
}
