import type { Worked } from "@/core";
import type { GetReady, Work } from "./work";

const AGAIN_MS = 3000;

/**
 * Has questions worked out in a worker, without framework. One is under way at a time, and of those that come meanwhile
 * the latest is asked next. The worker starts with the first question that has no answer yet; where it cannot run the page
 * does the work itself.
 */
export class Asker<A> {
  private latest: string | null = null;
  private underWay = false;
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
  ) {}

  /** Asks, unless the answer is the one that is known; the empty question asks for nothing. */
  ask(question: string): void {
    this.latest = question;
    if (question === "" || question === this.known?.question || this.underWay) return;
    this.underWay = true;
    if (!this.alone) this.started()?.postMessage(question);
    if (this.alone) this.workHere(question);
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
    this.underWay = false;
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
        if (this.underWay && this.latest !== null) this.workHere(this.latest);
      };
      this.worker = made;
    } catch {
      this.alone = true;
    }
    return this.worker;
  }

  private workHere(question: string): void {
    void this.work.here().then(
      (answer) => this.answered({ question, value: answer(question) }),
      () => {
        // Neither is here and the server that has them is away: both are tried anew until it is back.
        this.again = setTimeout(() => {
          this.underWay = false;
          this.alone = false;
          this.ask(this.latest ?? question);
        }, AGAIN_MS);
      },
    );
  }

  private answered(answer: Worked<A>): void {
    this.underWay = false;
    this.known = answer;
    if (this.latest !== null) this.ask(this.latest);
    this.tell(answer);
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
