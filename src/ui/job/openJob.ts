import type { FactsSince } from "@/contract/routes/jobs";
import {
  type Fact,
  type Identification,
  identifyQuestion,
  type Job,
  type JobWiring,
  jobFollower,
  type Lead,
  type LeadName,
  leadNames,
  type Opening,
  rehearsalQuestion,
  wiringQuestion,
} from "@/core";
import type { AsideFact } from "@/store/factRow";
import { JobFacts, type JobFactsState, type Saving } from "@/store/jobFacts";
import { deviceId } from "@/store/making";
import type { PhotoRow } from "@/store/shelf";
import { Asker } from "@/workers/asker";
import { identifying } from "@/workers/identify";
import { planning } from "@/workers/plan";
import { deviceName } from "./deviceName";
import { Watched } from "./watched";

/** How the leads are called on a page. */
export interface LeadNames {
  readonly names: ReadonlyMap<string, LeadName>;
  /** A lead's letters. */
  readonly short: (leadId: string) => string;
  readonly leadOf: (leadId: string) => Lead;
}

/** What the facts of the open job come to, as far as it is worked out. */
export interface JobNow {
  /** As this device has them, in the order in which they count. */
  readonly facts: readonly Fact[];
  readonly job: Job;
  readonly leadNames: LeadNames;
  /** Of the readings as they stand, or while `working` of the ones before. */
  readonly answer: Identification | null;
  readonly working: boolean;
  /** The plan for the settled motor on its equipment; while `planning` it is of the facts before. */
  readonly wiring: JobWiring;
  readonly planning: boolean;
}

/** How far what was entered is kept and sent. */
export interface JobSaving {
  readonly saving: Saving;
  /** Facts that were refused, kept apart to be seen to. */
  readonly aside: readonly AsideFact[];
  /** Photos on their way to the server. */
  readonly photosOnWay: readonly PhotoRow[];
  /** Facts kept that this version cannot read. */
  readonly unreadable: number;
}

interface Wish {
  readonly job: Job | null;
  readonly answer: Identification | null;
  readonly question: string;
}

const NO_WISH: Wish = { job: null, answer: null, question: "" };
const NO_EQUIPMENT: JobWiring = { kind: "no-equipment" };
const ON_ITS_WAY: JobWiring = { kind: "on-its-way" };

/** No device: on the server, and before the page is alive, there is nothing to undo. */
const NO_DEVICE = "";

/**
 * So long a reading waits to be drawn together with its answer, milliseconds. Of most sheets the answer is here by then,
 * and a page that is drawn once is drawn in half the time; longer, a hand would miss what it typed.
 */
const DRAWN_ALONE_AFTER_MS = 40;

/**
 * The open job, without framework: its facts, and what they come to. A question is on its way to its worker before
 * anything is drawn; what stands here is looked at in parts by who shows it.
 */
export class OpenJob {
  readonly store: JobFacts;
  readonly now: Watched<JobNow>;
  readonly saved: Watched<JobSaving>;
  /** True from the moment in which the readings ask something until its answer is shown. */
  readonly asking: Watched<boolean>;

  private readonly derive = jobFollower();
  private readonly identifier: Asker<Identification | null>;
  private readonly planner: Asker<JobWiring>;
  private device = NO_DEVICE;
  private facts: readonly Fact[];
  private job: Job;
  private leadNames: LeadNames;
  /** What the readings ask; empty while there are too few leads. */
  private sheet: string;
  /** Readings are to be expected. */
  private probing = false;
  private drawsAlone: ReturnType<typeof setTimeout> | undefined;
  /** What the plan is asked from, of which job and answer. */
  private wish: Wish = NO_WISH;
  private isOpen = false;

  /**
   * @param first what the server had when the page was made; null where it did not answer.
   * @param opening what these facts come to, as it came with the page; null where it was not worked out in time.
   */
  constructor(
    readonly id: string,
    first: FactsSince | null,
    readonly opening: Opening | null,
  ) {
    this.store = new JobFacts(id, first, deviceName);
    this.identifier = new Asker(identifying, opening?.identified ?? null, () => this.show());
    this.planner = new Asker(planning, opening?.wired ?? null, () => this.show());
    const state = this.store.state();
    this.facts = state.facts;
    this.job = this.derive(this.facts, this.device);
    this.leadNames = namesOf(this.job.leads);
    this.sheet = identifyQuestion(this.job);
    this.now = new Watched(this.made());
    this.saved = new Watched(savingOf(state));
    this.asking = new Watched(this.asks());
  }

  /** Begins to keep, send, follow and work out; gives the way to stop. */
  open(): () => void {
    this.isOpen = true;
    this.device = deviceId();
    const stops = [this.store.subscribe(() => this.changed()), this.store.open()];
    this.read(this.store.state());
    this.show();
    return () => {
      this.isOpen = false;
      clearTimeout(this.drawsAlone);
      for (const stop of stops) stop();
      this.identifier.stop();
      this.planner.stop();
    };
  }

  /** Whether readings are to be expected: then what works them out is made ready. */
  expectReadings(probing: boolean): void {
    this.probing = probing;
    if (probing) this.identifier.expect(rehearsalQuestion(this.job));
  }

  private changed(): void {
    const state = this.store.state();
    const saved = savingOf(state);
    if (differs(saved, this.saved.now())) this.saved.show(saved);
    if (state.facts === this.facts) return;
    this.read(state);
    const waits = this.asks() && this.probing && !this.now.now().working;
    if (!waits) this.show();
    else {
      this.asking.show(true);
      this.drawsAlone ??= setTimeout(() => this.show(), DRAWN_ALONE_AFTER_MS);
    }
  }

  private read({ facts }: JobFactsState): void {
    this.facts = facts;
    this.job = this.derive(facts, this.device);
    if (this.job.leads !== this.now.now().job.leads) this.leadNames = namesOf(this.job.leads);
    this.sheet = identifyQuestion(this.job);
    this.identifier.ask(this.sheet);
    if (this.probing) this.identifier.expect(rehearsalQuestion(this.job));
  }

  private show(): void {
    clearTimeout(this.drawsAlone);
    this.drawsAlone = undefined;
    const made = this.made();
    if (differs(made, this.now.now())) this.now.show(made);
    this.asking.show(made.working);
    // After the verdict is on the page, so that nothing is drawn with it.
    if (made.planning && !made.working) afterFrame(() => this.isOpen && this.planner.ask(this.wish.question));
  }

  private asks(): boolean {
    return this.sheet !== "" && this.sheet !== this.identifier.known?.question;
  }

  private made(): JobNow {
    const { facts, job, leadNames } = this;
    const { known } = this.identifier;
    const working = this.asks();
    const stands = this.sheet !== "" && known !== null && (!working || leadsStand(known.question, job));
    const answer = stands ? known.value : null;
    return { facts, job, leadNames, answer, working, ...this.wired(answer, working) };
  }

  private wired(answer: Identification | null, working: boolean): Pick<JobNow, "wiring" | "planning"> {
    // A motor that is being identified is not one without leads: nothing is asked of it before its answer.
    if (working && answer === null && this.job.compartment !== null) {
      this.wish = NO_WISH;
      return { wiring: ON_ITS_WAY, planning: true };
    }
    const { job } = this;
    if (this.wish.job !== job || this.wish.answer !== answer)
      this.wish = { job, answer, question: wiringQuestion(job, answer) };
    const { question } = this.wish;
    if (question === "") return { wiring: NO_EQUIPMENT, planning: working };
    const { known } = this.planner;
    return { wiring: known?.value ?? ON_ITS_WAY, planning: working || known?.question !== question };
  }
}

function savingOf({ saving, aside, photos, unreadable }: JobFactsState): JobSaving {
  return { saving, aside, photosOnWay: photos, unreadable };
}

function namesOf(leads: readonly Lead[]): LeadNames {
  const names = leadNames(leads);
  const byId = new Map(leads.map((lead) => [lead.id, lead]));
  return {
    names,
    short: (leadId) => names.get(leadId)?.short ?? "?",
    leadOf: (leadId) => byId.get(leadId) ?? { id: leadId },
  };
}

/** Whether every lead of an earlier sheet is still on the job: an answer that names others is not to be shown. */
function leadsStand(sheet: string, job: Job): boolean {
  if (sheet === "") return true;
  const { leads } = JSON.parse(sheet) as { leads: { id: string }[] };
  return leads.every((lead) => job.leads.some(({ id }) => id === lead.id));
}

function differs<T extends object>(one: T, other: T): boolean {
  return (Object.keys(one) as (keyof T)[]).some((part) => one[part] !== other[part]);
}

/** Does something once what is shown now has been drawn; a page that nobody sees draws nothing. */
function afterFrame(then: () => void): void {
  if (document.hidden) setTimeout(then);
  else requestAnimationFrame(() => setTimeout(then));
}
