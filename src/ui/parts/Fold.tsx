"use client";

import Accordion from "@mui/material/Accordion";
import AccordionDetails from "@mui/material/AccordionDetails";
import AccordionSummary from "@mui/material/AccordionSummary";
import { createContext, type ReactNode, useContext, useId, useMemo, useState } from "react";
import look from "./Fold.module.css";

interface Props {
  readonly title: string;
  /** What stands beside the title while folded: what is set inside, in few words. */
  readonly summary?: ReactNode;
  readonly open?: boolean;
  readonly children: ReactNode;
}

/** There or not, at once: a screen that slides is a screen that waits. */
function AtOnce({ in: shown, children }: { readonly in?: boolean; readonly children?: ReactNode }) {
  return shown ? children : null;
}

/** Its part of the page is named by the section around it. */
const PARTS = { heading: { component: "h2" }, region: { role: undefined } } as const;
const WAYS = { transition: AtOnce };

/** What stands in a fold, for the parts of it that say it. */
const Said = createContext<Pick<Props, "summary" | "children">>({ children: null });

/**
 * A part of a screen that is seldom needed: folded to one line that says what is set in it. Another summary or inside draws
 * those two alone: the accordion around them, some twenty parts, is drawn anew when it opens or closes.
 */
export function Fold({ title, summary, open: first = false, children }: Props) {
  const [open, setOpen] = useState(first);
  const id = useId();
  const accordion = useMemo(
    () => (
      <Accordion
        component="section"
        aria-label={title}
        expanded={open}
        onChange={(_, opens) => setOpen(opens)}
        slots={WAYS}
        slotProps={PARTS}
      >
        <AccordionSummary aria-controls={open ? id : undefined} expandIcon={<Sign open={open} />}>
          <span className={look.title}>{title}</span>
          <span className={look.summary}>{open ? null : <Summary />}</span>
        </AccordionSummary>
        <AccordionDetails>
          <Inside />
        </AccordionDetails>
      </Accordion>
    ),
    [title, open, id],
  );
  return <Said value={{ summary, children }}>{accordion}</Said>;
}

function Summary() {
  return useContext(Said).summary;
}

function Inside() {
  return useContext(Said).children;
}

/** Plus while there is more to see, minus while it is seen. */
function Sign({ open }: { open: boolean }) {
  return (
    <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true" fill="none" strokeWidth="2">
      <path d={open ? "M2 7h10" : "M2 7h10M7 2v10"} stroke="currentColor" />
    </svg>
  );
}
