"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { COOLING_MINUTES } from "@/core";
import { useAnswer, useJob, useLeadNames } from "../job/JobContext";
import { signal } from "../parts/signals";
import { TOUCH } from "../theme/measures";
import type { Target } from "./target";

const TICK_MS = 1000;

/**
 * The wait for a hot protector: begun by a touch where a lead reads open, kept with the job, and back with the leads to
 * read again when its time is over. Closing the page does not stop it.
 */
export function CoolingNotice({ onChoose }: { onChoose: (target: Target) => void }) {
  const { job, add } = useJob("cooling", "leads");
  const answer = useAnswer();
  const { short } = useLeadNames();
  const now = useNow(job.cooling !== null);
  const until = job.cooling ? Date.parse(job.cooling.since) + COOLING_MINUTES * 60_000 : null;
  const over = until !== null && now !== null && now >= until;
  // Sounds when the time runs out here, not for one that was over when the page was opened.
  const waited = useRef(false);
  useEffect(() => {
    if (over && waited.current) signal("time-over");
    waited.current = until !== null && now !== null && !over;
  }, [over, until, now]);
  const open = answer?.findings.find(({ code }) => code === "open-common" || code === "open-winding");
  if (!job.cooling) {
    if (!open || open.leads.length === 0) return null;
    return (
      <Button
        color="inherit"
        onClick={() => add({ kind: "cooling", leads: open.leads })}
        sx={{ minHeight: TOUCH, mt: 1 }}
      >
        Let it cool: begin {COOLING_MINUTES} minutes
      </Button>
    );
  }
  const { since, leads } = job.cooling;
  const left = now === null ? null : COOLING_MINUTES * 60_000 - (now - Date.parse(since));
  const lead = leads[0];
  const other = job.leads.find(({ id }) => !leads.includes(id));
  const due = left !== null && left <= 0;
  return (
    <Box
      component="section"
      aria-label="Cooling"
      aria-live={due ? "polite" : "off"}
      sx={{ border: "1.5px solid", borderColor: due ? "primary.main" : "divider", p: 3, mt: 2 }}
    >
      <Typography sx={{ fontWeight: 700 }}>
        {due
          ? "The motor has had its time to cool."
          : `Cooling: ${left === null ? "" : minutesLeft(left)} left`}
      </Typography>
      <Typography sx={{ mt: 1 }}>
        {due
          ? `Read ${leads.map(short).join(", ")} again. Open still means broken; ohms mean the protector was hot.`
          : "A protector that resets by itself restarts a hot motor without warning: keep the power off."}
      </Typography>
      {lead !== undefined && other ? (
        <Button
          variant={due ? "contained" : "outlined"}
          color={due ? "primary" : "inherit"}
          onClick={() => onChoose({ kind: "pair", between: [lead, other.id] })}
          sx={{ minHeight: TOUCH, mt: 2 }}
        >
          Read {short(lead)} and {short(other.id)} {due ? "again" : "now"}
        </Button>
      ) : null}
    </Box>
  );
}

/** The time, ticking while wanted; null before the browser has drawn once, so that server and browser agree. */
function useNow(ticking: boolean): number | null {
  const [now, setNow] = useState<number | null>(null);
  useEffect(() => {
    if (!ticking) return;
    setNow(Date.now());
    const timer = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, [ticking]);
  return now;
}

function minutesLeft(ms: number): string {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
}
