import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { memo } from "react";
import { useAnswer, useJob, useLeadNames, useWorking } from "../job/JobContext";
import { LeadTag } from "../parts/LeadTag";
import { WHEN_SLOW } from "../parts/whenSlow";
import { useWords } from "../words/UsageProvider";
import type { Target } from "./target";

/** What to touch now and why; or that nothing more is to be read, and what is still missing. */
export const TargetLine = memo(function TargetLine({
  target,
  isChosen,
  because,
}: {
  target: Target | null;
  isChosen: boolean;
  because: string | null;
}) {
  const words = useWords();
  const { job } = useJob("shellReadings");
  const answer = useAnswer();
  const { leadOf, short } = useLeadNames();
  const working = useWorking();
  if (!target && working) {
    return (
      <Typography variant="h2" sx={{ fontSize: "1.375rem", ...WHEN_SLOW }}>
        Working out what to touch next
      </Typography>
    );
  }
  if (!target) {
    const stop = answer?.status === "fault";
    const untested = !job.shellReadings.some((reading) => reading.standing);
    return (
      <>
        <Typography variant="h2" sx={{ fontSize: "1.375rem" }}>
          {stop
            ? "Nothing more to read"
            : answer?.status === "tied"
              ? "Ohms have said all they can"
              : "Nothing more is needed"}
        </Typography>
        <Typography sx={{ color: "text.secondary", mt: 1 }}>
          {stop
            ? "The finding stands. A reading taken again replaces the old one."
            : "Any pair may still be read again to check: touch its cell, or type its leads."}
        </Typography>
        {untested ? (
          <Typography sx={{ color: "warning.main", fontWeight: 600, mt: 1 }}>
            No lead has been tested to the shell yet; it must read open before this motor runs.
          </Typography>
        ) : null}
      </>
    );
  }
  const leads = target.kind === "pair" ? target.between : [target.lead];
  return (
    <>
      <Box sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", gap: 3 }}>
        <Box component="span" sx={{ color: "primary.main", fontWeight: 700 }}>
          Touch
        </Box>
        {leads.map((lead, i) => (
          <Box key={lead} component="span" sx={{ display: "inline-flex", alignItems: "center", gap: 3 }}>
            {i > 0 ? "and" : null}
            <LeadTag lead={leadOf(lead)} name={short(lead)} large />
          </Box>
        ))}
        {target.kind === "shell" ? <Box component="span">and bare metal of the shell</Box> : null}
      </Box>
      <Typography sx={{ color: "text.secondary", mt: 1 }}>
        {isChosen ? "Your pick." : words(because ?? "")}
      </Typography>
    </>
  );
});
