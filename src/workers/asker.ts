import type { Worked } from "@/core";
import type { GetReady, Work } from "./work";

const AGAIN_MS = 3000;
/** Answers kept beside the latest: an undo comes back to one, and of what is foreseen one will be asked for. */
const MOST_KEPT = 8;

/**
 * Has questions worked out in a worker, without framework. One is under way at a time, and of those that come meanwhile
 * the latest is asked next. The worker starts with the first question that has no answer yet; where it cannot run the page
 * does the work itself.
 */
export class Asker<A> {
  private latest: string | null = null;
  /** What is being worked out, and whether somebody asked for it or it is only foreseen. */
  private underWay: { readonly question: string; readonly isAsked: boolean } | null = null;
  /** What is to be foreseen once nothing is under way. */
  private foreseen: string | null = null;
  private readonly kept = new Map<string, A>();
  private worker: Worker | null = null;
  /** No worker runs here. */
  private alone = false;
  private again: ReturnType<typeof setTimeout> | undefined;
  private ready: { readonly question: string; readonly giveUp: () => void } | null = null;

  /**
   * @param known an answer that is there from the start.
   * @param tell hears of each answer as it comes.
   */
  constructor(
    private readonly work: Work<A>,
    public known: Worked<A> | null,
    private readonly tell: (answer: Worked<A>) => void,
  ) {
    if (known) this.keep(known);
  }

  /**
   * Asks, unless the answer is the one that is known or is kept; the empty question asks for nothing.
   *
   * @returns whether the answer is known by now: of one that is nobody is told.
   */
  ask(question: string): boolean {
    this.latest = question;
    if (question === "") return false;
    if (question === this.known?.question) return true;
    const value = this.kept.get(question);
    if (value !== undefined) {
      this.known = { question, value };
      return true;
    }
    this.foreseen = null;
    if (this.underWay?.question === question) this.underWay = { question, isAsked: true };
    if (!this.underWay) this.begin(question, true);
    return false;
  }

  /** Has a question worked out that may be asked next, as soon as nothing else is. */
  foresee(question: string): void {
    const { underWay, known, alone } = this;
    this.foreseen = null;
    // On the page itself it would take the time of who types.
    if (question === "" || alone || question === known?.question || this.kept.has(question)) return;
    if (!underWay) this.begin(question, false);
    else if (underWay.question !== question) this.foreseen = question;
  }

  /** Makes the worker ready for questions like this one, once the page has nothing else to do. */
  expect(question: string): void {
    if (this.ready?.question === question) return;
    this.ready?.giveUp();
    const giveUp = whenIdle(() => this.started()?.postMessage({ readyFor: question } satisfies GetReady));
    this.ready = { question, giveUp };
  }

  /** Lets the worker go; the next question starts another. */
  stop(): void {
    clearTimeout(this.again);
    this.ready?.giveUp();
    this.ready = null;
    this.worker?.terminate();
    this.worker = null;
    this.underWay = null;
    this.foreseen = null;
  }

  private begin(question: string, isAsked: boolean): void {
    this.underWay = { question, isAsked };
    if (!this.alone) this.started()?.postMessage(question);
    if (this.alone) this.workAlone();
  }

  private started(): Worker | null {
    if (this.worker || this.alone) return this.worker;
    try {
      const made = this.work.start();
      made.onmessage = ({ data }: MessageEvent<Worked<A>>) => this.answered(data);
      made.onerror = () => {
        if (this.worker !== made) return;
        this.worker = null;
        this.alone = true;
        if (this.underWay) this.workAlone();
      };
      this.worker = made;
    } catch {
      this.alone = true;
    }
    return this.worker;
  }

  /** Works out here what is asked for; what was only foreseen is left. */
  private workAlone(): void {
    const question = this.latest;
    this.underWay = null;
    if (!question || question === this.known?.question) return;
    this.underWay = { question, isAsked: true };
    void this.work.here().then(
      (answer) => this.answered({ question, value: answer(question) }),
      () => {
        // Neither is here and the server that has them is away: both are tried anew until it is back.
        this.again = setTimeout(() => {
          this.underWay = null;
          this.alone = false;
          this.ask(this.latest ?? question);
        }, AGAIN_MS);
      },
    );
  }

  private answered(answer: Worked<A>): void {
    const { known, underWay, foreseen } = this;
    this.underWay = null;
    this.keep(answer);
    if (underWay?.isAsked) this.known = answer;
    if (this.latest !== null) this.ask(this.latest);
    if (foreseen !== null) this.foresee(foreseen);
    if (this.known && this.known !== known) this.tell(this.known);
  }

  private keep({ question, value }: Worked<A>): void {
    this.kept.delete(question);
    this.kept.set(question, value);
    const oldest = this.kept.keys().next().value;
    if (this.kept.size > MOST_KEPT && oldest !== undefined) this.kept.delete(oldest);
  }
}

/** Does something once the page has nothing else to do; gives the way to give it up. */
function whenIdle(then: () => void): () => void {
  // Safari has no idle callback.
  if (typeof requestIdleCallback === "undefined") {
    const timer = setTimeout(then, 1000);
    return () => clearTimeout(timer);
  }
  const handle = requestIdleCallback(then, { timeout: 4000 });
  return () => cancelIdleCallback(handle);
}
