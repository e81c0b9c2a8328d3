"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { ReactNode } from "react";
import type { Saving } from "@/store/jobFacts";
import { Mark, type Shown } from "../parts/Verdict";
import { useJob, useSaving } from "./JobContext";

/** Whether what was entered is safe on the server, in a few words. */
export function SaveState() {
  const { saving, aside } = useSaving();
  const { weight, words } = inWords(saving, aside.length);
  return (
    <Box
      role="status"
      aria-live="polite"
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1.5,
        fontSize: "0.875rem",
        whiteSpace: "nowrap",
        color: "text.secondary",
      }}
    >
      <Mark weight={weight} size={15} />
      {words}
    </Box>
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
  const { saving, unreadable } = useSaving();
  const says = !saving.lasting
    ? "This browser keeps nothing: storage is full or switched off. What you enter is sent at once, but what the server has not got is gone with this page."
    : saving.away
      ? "The server does not answer. Go on: every entry is kept in this browser and sent when the server is back."
      : unreadable > 0
        ? `${unreadable} ${unreadable === 1 ? "entry" : "entries"} of this job cannot be read by this version. Nothing is lost: they are kept as they are, and left out here.`
        : null;
  return (
    <>
      {says === null ? null : <Notice>{says}</Notice>}
      <SetAside />
    </>
  );
}

/** Entries that were refused: what each was and why, to be taken along or let go. */
function SetAside() {
  const { id } = useJob();
  const { aside, dropAside } = useSaving();
  if (aside.length === 0) return null;
  const file = `data:application/json,${encodeURIComponent(JSON.stringify(aside, null, 2))}`;
  return (
    <Notice>
      <span>
        Not stored, and kept apart here: {aside.length === 1 ? "an entry that was" : "entries that were"}{" "}
        refused. Nothing else waits for {aside.length === 1 ? "it" : "them"}.
      </span>
      <Box component="ul" sx={{ m: 0, mt: 1, pl: 5 }}>
        {aside.map((one) => (
          <li key={one.id}>
            {one.kind}: {one.says}{" "}
            <Button size="small" color="inherit" onClick={() => void dropAside(one.id)}>
              Let it go
            </Button>
          </li>
        ))}
      </Box>
      <Button size="small" color="inherit" component="a" href={file} download={`set-aside-${id}.json`}>
        Keep as a file
      </Button>
    </Notice>
  );
}

function Notice({ children }: { children: ReactNode }) {
  return (
    <Box
      role="alert"
      className="no-print"
      sx={{
        px: { xs: 3, md: 6 },
        py: 2,
        borderBottom: "1.5px solid",
        borderColor: "warning.main",
        color: "warning.main",
      }}
    >
      {children}
    </Box>
  );
}
