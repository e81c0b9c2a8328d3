import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Worked } from "@/core";
import { Asker } from "./asker";
import type { GetReady, Work } from "./work";

/** A worker as the page sees it: what it was sent, answered when the test says so. */
class Slow {
  static readonly all: Slow[] = [];
  readonly sent: (string | GetReady)[] = [];
  onmessage: ((event: { data: Worked<number> }) => void) | null = null;
  onerror: (() => void) | null = null;
  ended = false;

  constructor() {
    Slow.all.push(this);
  }

  postMessage(message: string | GetReady): void {
    this.sent.push(message);
  }

  terminate(): void {
    this.ended = true;
  }

  answers(question: string): void {
    this.onmessage?.({ data: { question, value: question.length } });
  }
}

function asked(work: Partial<Work<number>> = {}) {
  const told: string[] = [];
  const asker = new Asker<number>(
    {
      start: () => new Slow() as unknown as Worker,
      here: async () => (question) => question.length,
      ...work,
    },
    null,
    ({ question, value }) => told.push(`${question} ${value}`),
  );
  return { asker, told, worker: () => Slow.all.at(-1) as Slow };
}

beforeEach(() => {
  vi.useFakeTimers();
  Slow.all.length = 0;
});

afterEach(() => {
  vi.useRealTimers();
});

describe("asking a worker", () => {
  it("starts one with the first question, and asks of those that come meanwhile the latest alone", () => {
    const { asker, told, worker } = asked();
    expect(Slow.all).toHaveLength(0);
    for (const question of ["one", "two", "three"]) asker.ask(question);
    expect(worker().sent).toEqual(["one"]);
    worker().answers("one");
    expect(worker().sent).toEqual(["one", "three"]);
    worker().answers("three");
    expect(told).toEqual(["one 3", "three 5"]);
    expect(Slow.all).toHaveLength(1);
  });

  it("asks for nothing by the empty question, nor for what is known", () => {
    const { asker, told, worker } = asked();
    asker.ask("");
    expect(Slow.all).toHaveLength(0);
    asker.ask("one");
    asker.ask("");
    worker().answers("one");
    asker.ask("one");
    expect(worker().sent).toEqual(["one"]);
    expect(told).toEqual(["one 3"]);
  });

  it("has the next question on its way before anybody hears of the answer", () => {
    const sent: number[] = [];
    const { asker, worker } = asked();
    asker.ask("one");
    asker.ask("three");
    const first = worker();
    const heard = new Asker<number>(
      { start: () => first as unknown as Worker, here: async () => () => 0 },
      null,
      () => sent.push(first.sent.length),
    );
    heard.ask("four");
    heard.ask("fifth");
    first.answers("four");
    expect(first.sent).toEqual(["one", "four", "fifth"]);
    expect(sent).toEqual([3]);
  });

  it("works it out here where no worker starts, and where one fails under way", async () => {
    const none = asked({
      start: () => {
        throw new Error("no workers here");
      },
    });
    none.asker.ask("one");
    await vi.runAllTimersAsync();
    expect(none.told).toEqual(["one 3"]);
    const { asker, told, worker } = asked();
    asker.ask("one");
    asker.ask("four");
    worker().onerror?.();
    await vi.runAllTimersAsync();
    expect(told).toEqual(["four 4"]);
    asker.ask("seven");
    await vi.runAllTimersAsync();
    expect(told).toEqual(["four 4", "seven 5"]);
    expect(Slow.all).toHaveLength(1);
  });

  it("tries both ways again where neither can be had, until one can", async () => {
    let away = true;
    const { asker, told, worker } = asked({
      start: () => {
        if (away) throw new Error("away");
        return new Slow() as unknown as Worker;
      },
      here: async () => {
        throw new Error("away");
      },
    });
    asker.ask("one");
    await vi.advanceTimersByTimeAsync(3000);
    asker.ask("three");
    away = false;
    await vi.advanceTimersByTimeAsync(3000);
    expect(worker().sent).toEqual(["three"]);
    worker().answers("three");
    expect(told).toEqual(["three 5"]);
  });

  it("gets ready once for each kind of question, when there is nothing else to do", () => {
    const { asker, worker } = asked();
    asker.expect("four leads");
    asker.expect("five leads");
    asker.expect("five leads");
    vi.runAllTimers();
    expect(worker().sent).toEqual([{ readyFor: "five leads" }]);
  });

  it("lets the worker go, and starts another with the next question", () => {
    const { asker, told, worker } = asked();
    asker.ask("one");
    asker.expect("more");
    const first = worker();
    asker.stop();
    vi.runAllTimers();
    expect(first.ended).toBe(true);
    expect(first.sent).toEqual(["one"]);
    asker.ask("one");
    expect(Slow.all).toHaveLength(2);
    worker().answers("one");
    expect(told).toEqual(["one 3"]);
  });

  it("has worked out what is foreseen by the time it is asked, and tells nobody until then", () => {
    const { asker, told, worker } = asked();
    asker.ask("one");
    worker().answers("one");
    asker.foresee("three");
    worker().answers("three");
    expect(asker.known?.question).toBe("one");
    expect(told).toEqual(["one 3"]);
    expect(asker.ask("three")).toBe(true);
    expect(asker.known).toEqual({ question: "three", value: 5 });
    expect(worker().sent).toEqual(["one", "three"]);
  });

  it("asks what comes to be asked while it is foreseen once, and tells of it", () => {
    const { asker, told, worker } = asked();
    asker.foresee("one");
    expect(asker.ask("one")).toBe(false);
    worker().answers("one");
    expect(worker().sent).toEqual(["one"]);
    expect(told).toEqual(["one 3"]);
  });

  it("foresees one at a time, the latest of those that come meanwhile, and after what is asked", () => {
    const { asker, told, worker } = asked();
    for (const question of ["a", "ab", "abc"]) asker.foresee(question);
    expect(worker().sent).toEqual(["a"]);
    worker().answers("a");
    expect(worker().sent).toEqual(["a", "abc"]);
    asker.ask("asked");
    worker().answers("abc");
    expect(worker().sent).toEqual(["a", "abc", "asked"]);
    asker.foresee("next");
    expect(told).toEqual([]);
    worker().answers("asked");
    expect(told).toEqual(["asked 5"]);
    expect(worker().sent).toEqual(["a", "abc", "asked", "next"]);
  });

  it("comes back to one of the last answers without a worker, and to no older one", () => {
    const { asker, worker } = asked();
    const questions = Array.from({ length: 10 }, (_, i) => `question ${i}`);
    for (const question of questions) {
      asker.ask(question);
      worker().answers(question);
    }
    expect(asker.ask("question 8")).toBe(true);
    expect(asker.known).toEqual({ question: "question 8", value: 10 });
    expect(asker.ask("question 0")).toBe(false);
    expect(worker().sent).toEqual([...questions, "question 0"]);
  });

  it("leaves what is only foreseen where the worker fails, and foresees nothing on the page itself", async () => {
    const { asker, told, worker } = asked();
    asker.ask("one");
    worker().answers("one");
    asker.foresee("three");
    worker().onerror?.();
    asker.foresee("seven");
    await vi.runAllTimersAsync();
    expect(told).toEqual(["one 3"]);
    asker.ask("three");
    await vi.runAllTimersAsync();
    expect(told).toEqual(["one 3", "three 5"]);
    expect(Slow.all).toHaveLength(1);
  });
});
