"use client";

import { useEffect, useRef, useState } from "react";
import type { Worked } from "@/core";
import type { GetReady, Work } from "@/workers/work";

/** What is worked out of a question, as far as it is. */
export interface Working<A> {
  /** The last answer with its question; null before the first. */
  readonly known: Worked<A> | null;
  /** True while the question as it stands has no answer yet. */
  readonly working: boolean;
}

interface Options<A> {
  /** An answer that came with the page. */
  readonly first?: Worked<A> | null;
  /** What is known without asking anybody. */
  readonly none: A;
  /** What the next question will be like, where one is to be expected: the worker is made ready before it comes. */
  readonly readyFor?: string | null;
}

const AGAIN_MS = 3000;

/**
 * Works a question out in a worker. One is under way at a time, and the latest is asked next. The worker starts with the
 * first question that has no answer yet; where it cannot run the page does the work itself. The empty question asks for
 * nothing.
 */
export function useWorked<A>(
  question: string,
  work: Work<A>,
  { first, none, readyFor = null }: Options<A>,
): Working<A> {
  const [known, setKnown] = useState<Worked<A> | null>(first ?? null);
  const [alone, setAlone] = useState(false);
  const worker = useRef<Worker | null>(null);
  const underWay = useRef(false);
  const again = useRef<ReturnType<typeof setTimeout>>(undefined);

  useEffect(
    () => () => {
      clearTimeout(again.current);
      worker.current?.terminate();
      worker.current = null;
      underWay.current = false;
    },
    [],
  );

  const started = useRef(() => {
    if (worker.current) return worker.current;
    const fail = () => {
      underWay.current = false;
      worker.current = null;
      setAlone(true);
    };
    try {
      const made = work.start();
      made.onmessage = ({ data }: MessageEvent<Worked<A>>) => {
        underWay.current = false;
        setKnown(data);
      };
      made.onerror = fail;
      worker.current = made;
    } catch {
      fail();
    }
    return worker.current;
  });

  useEffect(() => {
    if (question === "" || question === known?.question || underWay.current) return;
    underWay.current = true;
    if (!alone) {
      started.current()?.postMessage(question);
      return;
    }
    void work.here().then(
      (answer) => {
        underWay.current = false;
        setKnown({ question, value: answer(question) });
      },
      () => {
        // Neither is here and the server that has them is away: both are tried anew until it is back.
        again.current = setTimeout(() => {
          underWay.current = false;
          setAlone(false);
        }, AGAIN_MS);
      },
    );
  }, [known, question, alone, work]);

  useEffect(() => {
    if (readyFor === null) return;
    return whenIdle(() => started.current()?.postMessage({ readyFor } satisfies GetReady));
  }, [readyFor]);

  if (question === "") return { known: { question, value: none }, working: false };
  return { known, working: question !== known?.question };
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
