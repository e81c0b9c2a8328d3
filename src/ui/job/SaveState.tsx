"use client";

import type { Saving } from "@/store/jobFacts";
import { Notice } from "../parts/Notice";
import { Mark, type Shown } from "../parts/Verdict";
import { useSaving } from "./JobContext";
import look from "./SaveState.module.css";
import { SetAside } from "./SetAside";

/** Across the page, under its head. */
const BAND = { mx: { xs: 3, md: 6 }, mt: 2 } as const;

/** Whether what was entered is safe on the server, in a few words. */
export function SaveState() {
  const { saving, aside } = useSaving();
  const { weight, words } = inWords(saving, aside.length);
  return (
    <div role="status" aria-live="polite" className={look.state}>
      <Mark weight={weight} size={15} />
      {words}
    </div>
  );
}

function inWords({ ready, waiting, away }: Saving, aside: number): { weight: Shown; words: string } {
  if (away)
    return { weight: "again", words: waiting > 0 ? `Server away · ${waiting} kept here` : "Server away" };
  if (!ready) return { weight: "open", words: "Opening …" };
  if (waiting > 0) return { weight: "open", words: "Saving …" };
  return aside > 0 ? { weight: "again", words: `${aside} not saved` } : { weight: "good", words: "Saved" };
}

/** The same at length, where something needs to be known about it. */
export function SaveNotice() {
  const { saving, unreadable, aside } = useSaving();
  const says = !saving.lasting
    ? "This browser keeps nothing: storage is full or switched off. What you enter is sent at once, but what the server has not got is gone with this page."
    : saving.away
      ? "The server does not answer. Go on: every entry is kept in this browser and sent when the server is back."
      : unreadable > 0
        ? `${unreadable} ${unreadable === 1 ? "entry" : "entries"} of this job cannot be read by this version. Nothing is lost: they are kept as they are, and left out here.`
        : null;
  return (
    <>
      {says === null ? null : (
        <Notice className="no-print" sx={BAND}>
          {says}
        </Notice>
      )}
      {aside.length === 0 ? null : (
        <Notice className="no-print" sx={BAND}>
          <SetAside />
        </Notice>
      )}
    </>
  );
}
