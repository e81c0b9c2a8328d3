import type { FactsSince } from "@/contract/routes/jobs";
import {
  type Checked,
  type Fact,
  type FactBody,
  foreseenJob,
  type Identification,
  identifyQuestion,
  type Job,
  type JobWiring,
  jobFollower,
  type Lead,
  leadNames,
  type Opening,
  rehearsalQuestion,
  wiringQuestion,
} from "@/core";
import { JobFacts, type JobFactsState } from "@/store/jobFacts";
import { deviceId } from "@/store/making";
import { Asker } from "@/workers/asker";
import { checking } from "@/workers/check";
import { identifying } from "@/workers/identify";
import { planning } from "@/workers/plan";
import { afterFrame } from "../parts/afterFrame";
import { deviceName } from "./deviceName";
import type { JobNow, JobSaving, LeadNames } from "./jobNow";
import { Watched } from "./watched";

/** What is asked of the plan and of its check, and from which job and answer that was made. */
interface Wish {
  readonly job: Job | null;
  readonly answer: Identification | null;
  readonly question: string;
}

/** What the open stage is about: what it enters waits to be drawn together with what that comes to. */
export type Entering = "readings" | "wires" | "else";

const NO_WISH: Wish = { job: null, answer: null, question: "" };
const NO_EQUIPMENT: JobWiring = { kind: "no-equipment" };
const ON_ITS_WAY: JobWiring = { kind: "on-its-way" };

/** No device: on the server, and before the page is alive, there is nothing to undo. */
const NO_DEVICE = "";

/**
 * So long what was entered waits to be drawn together with what it comes to, milliseconds. Mostly that is here by then,
 * and a page that is drawn once is drawn in half the time; longer, a hand would miss what it entered: a tenth of a second
 * is what still seems at once (Miller, Response time in man-computer conversational transactions, 1968).
 */
const DRAWN_ALONE_AFTER_MS = 100;

/** What stands so long is likely what will be entered, milliseconds: who types or moves on is faster. */
const STILL_MS = 80;
/** Of a job of more facts nothing is foreseen: who types would feel that. */
const MOST_FACTS_FORESEEN = 2000;

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
  private readonly checker: Asker<Checked | null>;
  private device = NO_DEVICE;
  private facts: readonly Fact[];
  private job: Job;
  private leadNames: LeadNames;
  /** What the readings ask; empty while there are too few leads. */
  private sheet: string;
  private wish: Wish = NO_WISH;
  private entering: Entering = "else";
  /** How many show the check. */
  private checks = 0;
  private isOpen = false;
  /** What is still worked out was drawn without its answer. */
  private isAlone = true;
  private drawsAlone: ReturnType<typeof setTimeout> | undefined;
  private foresees: ReturnType<typeof setTimeout> | undefined;
  /** Who waits until what was entered is on the page. */
  private readonly awaitDrawn: (() => void)[] = [];

  /**
   * @param first what the server had when the page was made; null where it did not answer.
   * @param opening what these facts come to, as it came with the page; null where it was not worked out in time.
   */
  constructor(
    readonly id: string,
    first: FactsSince | null,
    opening: Opening | null,
  ) {
    const goOn = () => this.goOn();
    this.store = new JobFacts(id, first, deviceName, this.drawn);
    this.identifier = new Asker(identifying, opening?.identified ?? null, goOn);
    this.planner = new Asker(planning, opening?.wired ?? null, goOn);
    this.checker = new Asker(checking, opening?.checked ?? null, goOn);
    const state = this.store.state();
    this.facts = state.facts;
    this.job = this.derive(this.facts, this.device);
    this.leadNames = namesOf(this.job.leads);
    this.sheet = identifyQuestion(this.job);
    const made = this.made();
    this.now = new Watched(made);
    this.saved = new Watched(savingOf(state));
    this.asking = new Watched(made.working);
  }

  /** Begins to keep, send, follow and work out; gives the way to stop. */
  open(): () => void {
    this.isOpen = true;
    this.device = deviceId();
    const stops = [this.store.subscribe(() => this.changed()), this.store.open()];
    this.read(this.store.state());
    this.goOn();
    return () => {
      this.isOpen = false;
      clearTimeout(this.drawsAlone);
      clearTimeout(this.foresees);
      this.drawsAlone = undefined;
      for (const stop of stops) stop();
      for (const asker of [this.identifier, this.planner, this.checker]) asker.stop();
      this.letGo();
    };
  }

  /** Tells what is to be expected: what works that out is made ready. */
  expect(entering: Entering): void {
    this.entering = entering;
    if (entering === "readings") this.identifier.expect(rehearsalQuestion(this.job));
    if (entering !== "wires" || this.wish.question === "") return;
    this.planner.expect(this.wish.question);
    this.checker.expect(this.wish.question);
  }

  /**
   * Has worked out what this would come to, were it entered: then it is there when it is. Begun once it has stood for a
   * moment, with nothing else foreseen meanwhile; null is nothing.
   */
  readonly foresee = (body: FactBody | null): void => {
    clearTimeout(this.foresees);
    if (body) this.foresees = setTimeout(() => this.foreseen(body), STILL_MS);
  };

  private foreseen(body: FactBody): void {
    const { known } = this.identifier;
    if (!this.isOpen || this.facts.length > MOST_FACTS_FORESEEN) return;
    const job = foreseenJob(this.facts, body);
    const sheet = identifyQuestion(job);
    if (sheet !== this.sheet) {
      this.identifier.foresee(sheet);
      return;
    }
    if (sheet !== "" && sheet !== known?.question) return;
    const question = wiringQuestion(job, sheet === "" ? null : (known?.value ?? null));
    this.planner.foresee(question);
    if (this.checks > 0) this.checker.foresee(question);
  }

  /** Has the plan checked for as long as somebody shows it; gives the way to stop. */
  readonly showCheck = (): (() => void) => {
    this.checks += 1;
    if (this.isOpen) this.goOn();
    return () => {
      this.checks -= 1;
    };
  };

  /** The job with all that was entered, drawn or not. */
  readonly latest = (): Job => this.job;

  /** All that was entered, drawn or not. */
  readonly latestFacts = (): readonly Fact[] => this.facts;

  /** Whether all that was entered is on the page, or in what is drawn next: what is not waits for what it comes to. */
  readonly isShown = (): boolean => this.now.now().facts === this.facts;

  /** Resolves once what was entered by now is on the page. */
  private readonly drawn = (): Promise<void> =>
    new Promise((resolve) => {
      this.awaitDrawn.push(resolve);
      if (this.drawsAlone === undefined) this.letGo();
    });

  private letGo(): void {
    for (const goOn of this.awaitDrawn.splice(0)) afterFrame(goOn);
  }

  private changed(): void {
    const state = this.store.state();
    if (state.facts !== this.facts) {
      // What waits to be foreseen was most likely entered just now: on top of itself it is nothing that will be asked.
      clearTimeout(this.foresees);
      this.read(state);
      this.goOn();
    }
    // How far an entry is kept is told with the entry.
    if (this.drawsAlone === undefined) this.showSaved();
  }

  private showSaved(): void {
    const saved = savingOf(this.store.state());
    if (differs(saved, this.saved.now())) this.saved.show(saved);
  }

  private read({ facts }: JobFactsState): void {
    this.facts = facts;
    this.job = this.derive(facts, this.device);
    if (this.job.leads !== this.now.now().job.leads) this.leadNames = namesOf(this.job.leads);
    this.sheet = identifyQuestion(this.job);
    if (this.entering === "readings") this.identifier.expect(rehearsalQuestion(this.job));
  }

  /** Asks what follows from what is known by now, and shows it, or waits a moment for the rest. */
  private goOn(): void {
    // What was foreseen is known from here on.
    this.identifier.ask(this.sheet);
    let made = this.made();
    if (this.askWiring(made)) made = this.made();
    this.asking.show(made.working);
    const isAwaited = made.working || (this.entering === "wires" && (made.planning || this.isRun(made)));
    if (!isAwaited) this.isAlone = false;
    if (!isAwaited || this.isAlone || this.entering === "else") this.show(made);
    else this.drawsAlone ??= setTimeout(() => this.showAlone(), DRAWN_ALONE_AFTER_MS);
  }

  /** @returns whether more is known of it than was made out. */
  private askWiring({ working, planning, checking }: JobNow): boolean {
    if (working) return false;
    const { question } = this.wish;
    const isChecked = this.checks > 0 && this.checker.ask(question);
    // Of a motor that is being probed after the verdict is on the page, so that nothing is drawn with that.
    if (planning && this.entering === "readings") afterFrame(() => this.planLater());
    const isPlanned = planning && this.entering !== "readings" && this.planner.ask(question);
    return isPlanned || (isChecked && checking);
  }

  private planLater(): void {
    if (this.isOpen && this.planner.ask(this.wish.question)) this.goOn();
  }

  /** Whether the plan is being checked for somebody. */
  private isRun({ checking }: JobNow): boolean {
    return this.checks > 0 && checking;
  }

  private showAlone(): void {
    this.isAlone = true;
    this.show(this.made());
  }

  private show(made: JobNow): void {
    clearTimeout(this.drawsAlone);
    this.drawsAlone = undefined;
    if (differs(made, this.now.now())) this.now.show(made);
    this.showSaved();
    this.letGo();
  }

  private made(): JobNow {
    const { facts, job, leadNames, sheet } = this;
    const { known } = this.identifier;
    const working = sheet !== "" && sheet !== known?.question;
    const stands = sheet !== "" && known !== null && (!working || leadsStand(known.question, job));
    const answer = stands ? known.value : null;
    const wired = this.wired(answer, working);
    return { facts, job, leadNames, answer, working, ...wired, ...this.checked(wired) };
  }

  private wired(answer: Identification | null, working: boolean): Pick<JobNow, "wiring" | "planning"> {
    const { job } = this;
    // A motor that is being identified is not one without leads: nothing is asked of it before its answer.
    if (working && answer === null && job.compartment !== null) {
      this.wish = NO_WISH;
      return { wiring: ON_ITS_WAY, planning: true };
    }
    if (this.wish.job !== job || this.wish.answer !== answer)
      this.wish = { job, answer, question: wiringQuestion(job, answer) };
    const { question } = this.wish;
    if (question === "") return { wiring: NO_EQUIPMENT, planning: working };
    const { known } = this.planner;
    return { wiring: known?.value ?? ON_ITS_WAY, planning: working || known?.question !== question };
  }

  private checked({ planning }: Pick<JobNow, "planning">): Pick<JobNow, "check" | "checking"> {
    const { question } = this.wish;
    if (question === "") return { check: null, checking: false };
    const { known } = this.checker;
    return { check: known?.value ?? null, checking: planning || known?.question !== question };
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
