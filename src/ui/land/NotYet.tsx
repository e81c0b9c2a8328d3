"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useJob, useJobWiring, useLatestJob } from "../job/JobContext";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/measures";

/** Why there is nothing to land yet, and what to do about it. */
export function NotYet() {
  const { job, add } = useJob("leads", "wish");
  const latest = useLatestJob();
  const wiring = useJobWiring();
  if (wiring.kind === "plan" || wiring.kind === "retrofit") return null;
  if (wiring.kind === "on-its-way")
    return (
      <Box role="status" aria-busy>
        <Verdict weight="open" word="The wiring is being worked out …" />
      </Box>
    );
  const stop = wiring.kind === "unproved" || (wiring.kind === "not-settled" && wiring.stop);
  const says =
    wiring.kind === "no-equipment"
      ? [
          "Say first what it is landed on: choose the equipment here, or in Trace with the old wiring.",
          ...(job.leads.length === 0 ? ["Then enter the leads and their readings in Probe."] : []),
        ]
      : wiring.kind === "refused"
        ? wiring.faults.map((fault) => fault.says)
        : wiring.kind === "unproved"
          ? wiring.says
          : [wiring.says];
  return (
    <Box
      role="status"
      sx={{ borderLeft: "4px solid", borderColor: stop ? "error.main" : "warning.main", pl: 4, py: 2 }}
    >
      <Verdict weight={stop ? "stop" : "again"} word={stop ? "Stop" : "Not yet"} />
      {says.map((line) => (
        <Typography key={line} sx={{ mt: 1 }}>
          {line}
        </Typography>
      ))}
      {wiring.kind === "refused" && job.wish.reversed && wiring.plug ? (
        <Button
          sx={{ mt: 2, mr: 2, minHeight: TOUCH }}
          onClick={() => add({ kind: "wiring-wish", wish: { ...latest().wish, turnBy: "plug" } })}
        >
          It has a plug for rotation: turn that
        </Button>
      ) : null}
      {wiring.kind === "refused" && (job.wish.reversed || Object.keys(job.wish.speeds).length > 0) ? (
        <Button
          sx={{ mt: 2, minHeight: TOUCH }}
          onClick={() =>
            add({ kind: "wiring-wish", wish: { ...latest().wish, speeds: {}, reversed: false } })
          }
        >
          Back to the usual speeds and turn
        </Button>
      ) : null}
    </Box>
  );
}
