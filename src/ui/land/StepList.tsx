"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import {
  type Assumption,
  CAPPED,
  type CheckFinding,
  emptied,
  FRAME,
  type PlanStep,
  placeName,
  planSteps,
  stepTick,
  type WiringPlan,
} from "@/core/wiring";
import { useJob } from "../job/JobContext";
import { LeadTag } from "../parts/LeadTag";
import { Verdict } from "../parts/Verdict";
import { useWireName } from "./useWiringCheck";

interface Props {
  readonly check: {
    readonly weight: CheckFinding["weight"];
    readonly findings: readonly CheckFinding[];
    readonly assumes: readonly Assumption[];
  } | null;
}

/** The work one wire at a time, to tick off; ticks are kept as they are made. */
export function StepList({ check }: Props) {
  const { wiring, job } = useJob();
  if (wiring.kind !== "plan" && wiring.kind !== "retrofit") return null;
  const { plan } = wiring;
  const steps = planSteps(plan, wiring.leads);
  const done = steps.filter((step) => job.ticked.includes(stepTick(plan, step.id))).length;
  const empty = emptied(
    plan,
    job.oldLeads.flatMap(({ terminal }) => (terminal ? [terminal] : [])),
  );
  return (
    <Box component="section" aria-label="Landing list">
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 3, flexWrap: "wrap", mb: 2 }}>
        <Typography variant="h2">One wire at a time</Typography>
        <Typography sx={{ color: "text.secondary" }}>
          {plan.school ? `${plan.school} · ` : ""}
          {done} of {steps.length} done
        </Typography>
      </Box>
      {check && check.weight === "stop" ? (
        <Box role="alert" sx={{ borderLeft: "4px solid", borderColor: "error.main", pl: 3, py: 1, mb: 3 }}>
          <Verdict weight="stop" word="Stop: do not power this" />
          <Typography>{check.findings[0]?.says}</Typography>
        </Box>
      ) : null}
      {check && check.assumes.length > 0 ? (
        <Typography sx={{ borderLeft: "4px dashed", borderColor: "text.secondary", pl: 3, mb: 3 }}>
          Assumed still: {[...new Set(check.assumes.map((one) => one.short))].join(", ")}.
        </Typography>
      ) : null}
      <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0, borderTop: "1.5px solid" }}>
        {steps.map((step) => (
          <StepLine key={step.id} step={step} plan={plan} />
        ))}
      </Box>
      {empty.length > 0 ? (
        <Typography sx={{ mt: 3 }}>
          Becomes empty: <strong>{empty.join("; ")}</strong>.
        </Typography>
      ) : null}
      <Box component="ul" sx={{ m: 0, mt: 4, pl: 5, maxWidth: 640 }}>
        {plan.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
        <li>
          Locked out, tagged and proved dead first. The plate, the maker’s drawing and local code come before
          this list.
        </li>
      </Box>
    </Box>
  );
}

function StepLine({ step, plan }: { step: PlanStep; plan: WiringPlan }) {
  const { job, add, wiring, leadOf } = useJob();
  const name = useWireName();
  const tick = stepTick(plan, step.id);
  const done = job.ticked.includes(tick);
  const to = step.to ? placeName(plan.compartment, step.to) : "";
  return (
    <Box component="li" sx={{ borderBottom: "1px solid", borderColor: "divider" }}>
      <Box
        component="label"
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "30px minmax(84px,auto) 1fr", md: "34px 130px minmax(200px,1fr) 1.3fr" },
          columnGap: 3,
          alignItems: "center",
          minHeight: 48,
          py: 1.5,
          cursor: "pointer",
        }}
      >
        <Box
          component="input"
          type="checkbox"
          checked={done}
          onChange={() => add({ kind: "tick", step: tick, done: !done })}
          sx={{ width: 22, height: 22, accentColor: "var(--mui-palette-success-main)" }}
        />
        {step.lead === null ? (
          <Box
            component="span"
            sx={{
              gridColumn: { xs: "2 / -1", md: "2 / 4" },
              fontWeight: 700,
              color: done ? "text.secondary" : "text.primary",
            }}
          >
            {step.does}
          </Box>
        ) : (
          <>
            <span>
              {step.lead === FRAME ? (
                <strong>Green or bare</strong>
              ) : wiring.kind === "retrofit" ? (
                <strong>{name(step.lead)}</strong>
              ) : (
                <LeadTag lead={leadOf(step.lead)} name={name(step.lead)} />
              )}
            </span>
            <Box
              component="span"
              sx={{ fontWeight: 700, color: step.to === CAPPED || done ? "text.secondary" : "text.primary" }}
            >
              {step.to === CAPPED ? "⊓ " : "→ "}
              {to}
            </Box>
          </>
        )}
        <Box
          component="span"
          sx={{
            color: "text.secondary",
            gridColumn: { xs: "2 / -1", md: "auto" },
            fontSize: "0.9375rem",
          }}
        >
          {step.because}
        </Box>
      </Box>
    </Box>
  );
}
