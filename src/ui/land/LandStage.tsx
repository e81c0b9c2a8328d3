"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { type LandingChoice, type LandingStep, planLanding, terminalName } from "@/core";
import { useJob } from "../job/JobContext";
import { UndoButtons } from "../job/JobFrame";
import { Choice } from "../parts/Choice";
import { LeadTag } from "../parts/LeadTag";
import { Verdict } from "../parts/Verdict";

/** Land: each lead to its terminal or capped, one wire a line, in the order of the hands. */
export function LandStage() {
  const { job, answer } = useJob();
  const plan = answer ? planLanding(answer, job.leads, job.landing) : null;
  const stop = answer?.status === "fault";
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,8fr) minmax(0,4fr)" },
        gap: 8,
      }}
    >
      <Box component="section" aria-label="Landing list">
        <Typography variant="h2" sx={{ mb: 2 }}>
          One wire at a time
        </Typography>
        {plan?.ok ? (
          <>
            <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0, borderTop: "1.5px solid" }}>
              <Line wire={<strong>Green or bare</strong>} to="frame ground" because="First on, last off." />
              {plan.steps.map((step) => (
                <StepLine key={JSON.stringify(step.wire)} step={step} choice={job.landing} />
              ))}
            </Box>
            <Box component="ul" sx={{ m: 0, mt: 4, pl: 5, maxWidth: 640 }}>
              {plan.cautions.map((caution) => (
                <li key={caution}>{caution}</li>
              ))}
              <li>The plate, the maker’s drawing and local code come before this list.</li>
            </Box>
          </>
        ) : (
          <Box
            role="status"
            sx={{ borderLeft: "4px solid", borderColor: stop ? "error.main" : "warning.main", pl: 4, py: 2 }}
          >
            <Verdict weight={stop ? "stop" : "again"} word={stop ? "Stop" : "Not yet"} />
            <Typography sx={{ mt: 1 }}>
              {plan?.says ?? "Enter the leads and their readings in Probe first."}
            </Typography>
          </Box>
        )}
      </Box>
      <Box
        component="section"
        aria-label="What it is landed on"
        sx={{ display: "grid", gap: 4, alignContent: "start" }}
      >
        <Typography variant="h2">Landed on</Typography>
        <Choices />
        <UndoButtons />
      </Box>
    </Box>
  );
}

function Choices() {
  const { job, add, answer } = useJob();
  const choose = (change: Partial<LandingChoice>) =>
    add({ kind: "landing", choice: { ...job.landing, ...change } });
  const ranks = Object.values(answer?.roles ?? {}).flatMap((role) =>
    role.role === "speed" && role.rank ? [role.rank] : [],
  );
  const speeds = [...new Set(ranks)].sort((a, b) => a - b);
  const speedWord = (rank: number) =>
    rank === 1 ? "1, the fastest" : rank === speeds.length ? `${rank}, the slowest` : String(rank);
  return (
    <>
      <Choice
        label="Supply"
        value={job.landing.supply}
        onChange={(v) => choose({ supply: v as LandingChoice["supply"] })}
      >
        <option value="208-230-two-lines">208–230 V, two lines</option>
        <option value="115-neutral">115 V with neutral</option>
      </Choice>
      <Choice
        label="Run capacitor"
        value={job.landing.capacitor}
        onChange={(v) => choose({ capacitor: v as LandingChoice["capacitor"] })}
      >
        <option value="own">on its own</option>
        <option value="dual-fan">FAN side of a dual</option>
      </Choice>
      {speeds.length > 1 ? (
        <Choice
          label="Speed on the switched line"
          value={String(job.landing.speed)}
          onChange={(v) => choose({ speed: Number(v) })}
        >
          {speeds.map((rank) => (
            <option key={rank} value={rank}>
              {speedWord(rank)}
            </option>
          ))}
        </Choice>
      ) : null}
    </>
  );
}

function StepLine({ step, choice }: { step: LandingStep; choice: LandingChoice }) {
  const { leadOf, short } = useJob();
  const wire =
    "lead" in step.wire ? (
      <LeadTag lead={leadOf(step.wire.lead)} name={short(step.wire.lead)} />
    ) : (
      <strong>Jumper from {terminalName(step.wire.jumperFrom, choice)}</strong>
    );
  return (
    <Line
      wire={wire}
      to={terminalName(step.to, choice)}
      because={step.because}
      capped={step.to === "capped"}
    />
  );
}

function Line({
  wire,
  to,
  because,
  capped = false,
}: {
  wire: React.ReactNode;
  to: string;
  because: string;
  capped?: boolean;
}) {
  return (
    <Box
      component="li"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(96px,auto) 1fr", md: "170px 250px 1fr" },
        columnGap: 4,
        alignItems: "center",
        borderBottom: "1px solid",
        borderColor: "divider",
        minHeight: 48,
        py: 1.5,
      }}
    >
      <span>{wire}</span>
      <Box component="span" sx={{ fontWeight: 700, color: capped ? "text.secondary" : "text.primary" }}>
        {capped ? "⊓ " : "→ "}
        {to}
      </Box>
      <Box
        component="span"
        sx={{ color: "text.secondary", gridColumn: { xs: "1 / -1", md: "auto" }, fontSize: "0.9375rem" }}
      >
        {because}
      </Box>
    </Box>
  );
}
