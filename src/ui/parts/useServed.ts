"use client";

import { useEffect, useRef, useState } from "react";
import { afterFrame } from "./afterFrame";

/** What the server was asked, as far as it answered. */
export interface ServedAnswer<A> {
  /** The answer to the question as it stands, or none. */
  readonly answer: A | undefined;
  /** The server was asked and could not be had. */
  readonly away: boolean;
  /** Asks anew. */
  readonly again: () => void;
}

interface Options {
  /** Times it is asked once more before it is away. */
  readonly retries?: number;
}

const AGAIN_MS = 1000;
const MOST_KEPT = 30;
/** When a server that was away is asked once more. */
const BACK = ["online", "focus"] as const;
/** Answers of this page, by their question: a part that comes back shows them while it asks anew. */
const kept = new Map<string, unknown>();

/**
 * Asks the server one question for a part of a stage that asks nothing else. TanStack Query does it where a stage has lists
 * of its own; it alone would put Probe and Land over the weight that a stage may have.
 *
 * @param question names what is asked; "" asks nothing. Another question gives the one before up.
 */
export function useServed<A>(
  question: string,
  ask: (signal: AbortSignal) => Promise<A>,
  { retries = 0 }: Options = {},
): ServedAnswer<A> {
  const [state, setState] = useState<{ question: string; away: boolean }>({ question: "", away: false });
  const [times, setTimes] = useState(0);
  const latest = useRef(ask);
  useEffect(() => {
    latest.current = ask;
  });
  useEffect(() => {
    // Asked again with the same words where somebody wants that.
    if (question === "" || times < 0) return;
    const gone = new AbortController();
    // Asking takes some of the time in which the page would draw what it is asked about.
    afterFrame(async () => {
      if (gone.signal.aborted) return;
      const value = await answered(latest.current, gone.signal, retries);
      if (gone.signal.aborted) return;
      if (value !== AWAY) keep(question, value);
      setState({ question, away: value === AWAY });
    });
    return () => gone.abort();
  }, [question, times, retries]);
  const away = state.question === question && state.away;
  useEffect(() => {
    if (!away) return;
    const ask = () => setTimes((before) => before + 1);
    for (const event of BACK) window.addEventListener(event, ask);
    return () => {
      for (const event of BACK) window.removeEventListener(event, ask);
    };
  }, [away]);
  return {
    answer: question === "" ? undefined : (kept.get(question) as A | undefined),
    away,
    again: () => setTimes((before) => before + 1),
  };
}

const AWAY = Symbol("away");

async function answered<A>(
  ask: (signal: AbortSignal) => Promise<A>,
  signal: AbortSignal,
  retries: number,
): Promise<A | typeof AWAY> {
  for (let tried = 0; ; tried++) {
    try {
      return await ask(signal);
    } catch {
      if (signal.aborted || tried >= retries) return AWAY;
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  }
}

function keep(question: string, value: unknown): void {
  kept.delete(question);
  kept.set(question, value);
  const [oldest] = kept.keys();
  if (kept.size > MOST_KEPT && oldest !== undefined) kept.delete(oldest);
}
