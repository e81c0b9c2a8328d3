import type { Worker } from "node:worker_threads";
import { isNamed } from "../isNamed";
import { QueueFull } from "../queue";
import { type Answered, failureTold } from "./order";

/** Work was stopped because it took longer than its limit. */
export class TooLong extends Error {
  override readonly name = "TooLong";

  constructor(readonly limitMs: number) {
    super(`stopped after ${limitMs} ms`);
  }
}

export function isTooLong(error: unknown): error is TooLong {
  return isNamed<TooLong>(error, "TooLong");
}

/** The caller went away before the work was done. */
export class Abandoned extends Error {
  override readonly name = "Abandoned";
}

export function isAbandoned(error: unknown): error is Abandoned {
  return isNamed<Abandoned>(error, "Abandoned");
}

/** One piece of work and who waits for it. */
export interface WantedWork {
  /** Whose it is: those who wait take turns by account, not by how much each asks. */
  readonly account: string;
  readonly what: string;
  readonly given: readonly unknown[];
  /** Fires when nobody waits any more. */
  readonly signal?: AbortSignal;
}

interface Waiting extends WantedWork {
  readonly resolve: (value: unknown) => void;
  readonly reject: (error: Error) => void;
  /** Told how long the work kept its thread. */
  readonly spent: (ms: number) => void;
}

interface Thread {
  readonly worker: Worker;
  /** Fulfilled once it has loaded: on a busy machine that may take longer than its work does. */
  readonly loaded: Promise<void>;
  /** Ends what it does now with an error; null while it rests. */
  fail: ((error: Error) => void) | null;
}

/**
 * Threads that do heavy work, so many at a time, each piece within a time; a thread whose work takes longer is ended,
 * and another made in its place when next there is work. Accounts take turns. Beyond so many waiting none is taken.
 */
export class Threads {
  private readonly all = new Set<Thread>();
  private readonly resting: Thread[] = [];
  /** By account, in the order of their turns. */
  private readonly waiting = new Map<string, Waiting[]>();
  private made = 0;

  /** @param make starts a thread that says {@link LOADED} first, then answers each order with an answer of the same id. */
  constructor(
    private readonly make: () => Worker,
    private readonly most: {
      readonly threads: number;
      /** For all together, and for one account. */
      readonly waiting: number;
      readonly waitingOfOne: number;
      readonly workMs: number;
      /** A thread that takes longer to load is given up. */
      readonly loadMs: number;
    },
  ) {}

  /**
   * Does the work when its turn comes.
   *
   * @param spent is told the milliseconds for which it kept a thread, ended or not.
   * @throws QueueFull at once where too many wait, {@link TooLong}, {@link Abandoned}, or what the work threw
   */
  run(wanted: WantedWork, spent: (ms: number) => void = () => undefined): Promise<unknown> {
    const own = this.waiting.get(wanted.account) ?? [];
    const all = [...this.waiting.values()].reduce((sum, { length }) => sum + length, 0);
    if (own.length >= this.most.waitingOfOne || all >= this.most.waiting)
      return Promise.reject(new QueueFull("too many are waiting"));
    return new Promise((resolve, reject) => {
      this.waiting.set(wanted.account, [...own, { ...wanted, resolve, reject, spent }]);
      this.next();
    });
  }

  /** Ends all threads; what they did, and what waits, fails. */
  async close(): Promise<void> {
    for (const one of [...this.waiting.values()].flat()) one.reject(new Abandoned("closed"));
    this.waiting.clear();
    await Promise.all([...this.all].map((thread) => thread.worker.terminate()));
  }

  private next(): void {
    const thread = this.resting.pop() ?? this.another();
    if (!thread) return;
    const wanted = this.turn();
    if (!wanted) this.resting.push(thread);
    else this.start(thread, wanted);
  }

  /** The first of the account whose turn it is; the account goes to the end. Who went away is passed over. */
  private turn(): Waiting | null {
    for (const [account, [first, ...rest]] of this.waiting) {
      this.waiting.delete(account);
      if (rest.length > 0) this.waiting.set(account, rest);
      if (!first) continue;
      if (!first.signal?.aborted) return first;
      first.reject(new Abandoned("nobody waits for it"));
      return this.turn();
    }
    return null;
  }

  private another(): Thread | null {
    if (this.all.size >= this.most.threads || this.waiting.size === 0) return null;
    const worker = this.make();
    // A resting thread holds nothing up at the end.
    worker.unref();
    const loaded = new Promise<void>((resolve) => worker.once("message", () => resolve()));
    const thread: Thread = { worker, loaded, fail: null };
    this.all.add(thread);
    worker.on("error", (error: Error) => thread.fail?.(error));
    worker.on("exit", () => {
      thread.fail?.(new Error("the thread ended"));
      this.all.delete(thread);
      const at = this.resting.indexOf(thread);
      if (at >= 0) this.resting.splice(at, 1);
      this.next();
    });
    return thread;
  }

  private start(thread: Thread, wanted: Waiting): void {
    const { worker } = thread;
    const id = ++this.made;
    let begunMs = performance.now();
    let ended = false;
    const end = () => {
      ended = true;
      clearTimeout(timer);
      worker.off("message", told);
      wanted.signal?.removeEventListener("abort", abandoned);
      thread.fail = null;
      wanted.spent(performance.now() - begunMs);
    };
    const told = (answered: Answered) => {
      if (answered.id !== id) return;
      end();
      if ("failed" in answered) wanted.reject(failureTold(answered.failed));
      else wanted.resolve(answered.value);
      this.resting.push(thread);
      this.next();
    };
    thread.fail = (error) => {
      end();
      wanted.reject(error);
    };
    const stop = (error: Error) => {
      thread.fail?.(error);
      void worker.terminate();
    };
    const abandoned = () => stop(new Abandoned("nobody waits for it"));
    let timer = setTimeout(() => stop(new Error("the thread does not load")), this.most.loadMs);
    // Neither the limit nor what is charged counts the thread's own loading.
    void thread.loaded.then(() => {
      if (ended) return;
      clearTimeout(timer);
      begunMs = performance.now();
      timer = setTimeout(() => stop(new TooLong(this.most.workMs)), this.most.workMs);
    });
    wanted.signal?.addEventListener("abort", abandoned);
    worker.on("message", told);
    worker.postMessage({ id, what: wanted.what, given: wanted.given });
  }
}
