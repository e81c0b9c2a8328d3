import type { Worked } from "@/core";

/** Questions that are answered away from the page, one after another: each a text, answered with that text beside it. */
export interface Work<A> {
  /** Starts the worker. It answers every question, in the order asked. */
  readonly start: () => Worker;
  /** Brings what answers on the page itself, where a worker cannot run. */
  readonly here: () => Promise<(question: string) => A>;
}

/** Sent to a worker before there is anything to answer: what the next question will be like. */
export interface GetReady {
  readonly readyFor: string;
}

/** A rehearsal that works one question out, and tells nobody: the next of its kind finds all of it ready. */
export function oneStep<A>(answer: (question: string) => A): (question: string) => Iterator<void> {
  return function* rehearsed(question) {
    yield;
    answer(question);
  };
}

/**
 * In a worker: answers what comes.
 *
 * @param rehearsal what gets ready for questions like one, a step at a time, so that a question never waits for more than
 *   a step of it.
 */
export function answerAll<A>(
  answer: (question: string) => A,
  rehearsal?: (question: string) => Iterator<void>,
): void {
  let steps: Iterator<void> | null = null;
  let next: ReturnType<typeof setTimeout>;
  const step = () => {
    if (steps?.next().done === false) next = setTimeout(step);
    else steps = null;
  };
  const rehearse = (question: string) => {
    clearTimeout(next);
    steps = rehearsal?.(question) ?? null;
    next = setTimeout(step);
  };
  self.onmessage = ({ data }: MessageEvent<string | GetReady>) => {
    if (typeof data !== "string") return rehearse(data.readyFor);
    self.postMessage({ question: data, value: answer(data) } satisfies Worked<A>);
  };
}
