import type { Worked } from "@/core";

/** Questions that are answered away from the page, one after another: each a text, answered with that text beside it. */
export interface Work<A> {
  /** Starts the worker. It answers every question, in the order asked. */
  readonly start: () => Worker;
  /** Brings what answers on the page itself, where a worker cannot run. */
  readonly here: () => Promise<(question: string) => A>;
}

/** In a worker: answers what comes. */
export function answerAll<A>(answer: (question: string) => A): void {
  self.onmessage = ({ data: question }: MessageEvent<string>) =>
    self.postMessage({ question, value: answer(question) } satisfies Worked<A>);
}
