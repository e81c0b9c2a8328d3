"use client";

import { type ReactNode, useId, useState } from "react";
import look from "./Fold.module.css";

interface Props {
  readonly title: string;
  /** What stands beside the title while folded: what is set inside, in few words. */
  readonly summary?: ReactNode;
  readonly open?: boolean;
  readonly children: ReactNode;
}

/**
 * A part of a screen that is seldom needed: folded to one line that says what is set in it. There or not, at once: a screen
 * that slides is a screen that waits. Of plain elements, for nearly every stage has several, and readings change what they say.
 */
export function Fold({ title, summary, open: first = false, children }: Props) {
  const [open, setOpen] = useState(first);
  const id = useId();
  return (
    <section aria-label={title} className={look.fold}>
      <h2 className={look.head}>
        <button
          type="button"
          className={look.line}
          aria-expanded={open}
          aria-controls={open ? id : undefined}
          onClick={() => setOpen(!open)}
        >
          <span className={look.title}>{title}</span>
          <span className={look.summary}>{open ? null : summary}</span>
          <Sign open={open} />
        </button>
      </h2>
      {open ? (
        <div id={id} className={look.inside}>
          {children}
        </div>
      ) : null}
    </section>
  );
}

/** Plus while there is more to see, minus while it is seen. */
function Sign({ open }: { open: boolean }) {
  return (
    <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true" fill="none" strokeWidth="2">
      <path d={open ? "M2 7h10" : "M2 7h10M7 2v10"} stroke="currentColor" />
    </svg>
  );
}
