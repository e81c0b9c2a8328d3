import { afterEach, describe, expect, it, vi } from "vitest";
import { answerAll, type GetReady } from "./work";

interface InWorker {
  onmessage: ((event: { data: string | GetReady }) => void) | null;
  readonly postMessage: (answer: unknown) => void;
}

function begun(rehearsal: (question: string) => Iterator<void>) {
  const answers: unknown[] = [];
  const worker: InWorker = { onmessage: null, postMessage: (answer) => answers.push(answer) };
  vi.stubGlobal("self", worker);
  answerAll((question) => question.length, rehearsal);
  return { answers, send: (data: string | GetReady) => worker.onmessage?.({ data }) };
}

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe("a worker that rehearses", () => {
  function* steps(taken: string[], name: string): Generator<void> {
    for (const step of [1, 2, 3]) {
      taken.push(`${name}${step}`);
      yield;
    }
  }

  it("answers a question between two steps, and goes on with them", () => {
    vi.useFakeTimers();
    const taken: string[] = [];
    const { answers, send } = begun((question) => steps(taken, question));
    send({ readyFor: "a" });
    vi.advanceTimersToNextTimer();
    send("four");
    expect(taken).toEqual(["a1"]);
    expect(answers).toEqual([{ question: "four", value: 4 }]);
    vi.runAllTimers();
    expect(taken).toEqual(["a1", "a2", "a3"]);
    expect(answers).toHaveLength(1);
  });

  it("leaves a rehearsal for the one that is asked for after it", () => {
    vi.useFakeTimers();
    const taken: string[] = [];
    const { send } = begun((question) => steps(taken, question));
    send({ readyFor: "a" });
    vi.advanceTimersToNextTimer();
    send({ readyFor: "b" });
    vi.runAllTimers();
    expect(taken).toEqual(["a1", "b1", "b2", "b3"]);
  });
});
