"use client";

import { useEffect, useState } from "react";
import type { Worked } from "@/core";
import { Asker } from "@/workers/asker";
import type { Work } from "@/workers/work";

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
}

/** Works a question out in a worker, for the part that shows it. The empty question asks for nothing. */
export function useWorked<A>(question: string, work: Work<A>, { first, none }: Options<A>): Working<A> {
  const [known, setKnown] = useState<Worked<A> | null>(first ?? null);
  const [asker] = useState(() => new Asker(work, first ?? null, setKnown));
  useEffect(() => () => asker.stop(), [asker]);
  useEffect(() => {
    if (asker.ask(question)) setKnown(asker.known);
  }, [asker, question]);
  if (question === "") return { known: { question, value: none }, working: false };
  return { known, working: question !== known?.question };
}
