"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import NextLink from "next/link";
import { useState } from "react";
import { parseNumber, plateOf, type SafeStepDone } from "@/core";
import { DEAD_VOLTS, type SafeStep, safeSteps } from "@/core/proving";
import { useJob } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { DischargeCountdown } from "../parts/DischargeCountdown";
import { Fold } from "../parts/Fold";
import { PlainEntry } from "../parts/PlainEntry";
import { PlainLink } from "../parts/PlainLink";
import { Tick } from "../parts/Tick";
import { Mark, Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/measures";
import { EquipmentChoice } from "../trace/EquipmentChoice";
import { Say, useWords } from "../words/UsageProvider";
import { SupplySeen } from "./SupplySeen";

/** Safe: what is done before anything is touched, one line a step, each with its time and name. */
export function SafeStage() {
  const { id, job, add } = useJob("safe", "compartment", "plates");
  const { safe, compartment } = job;
  const load = plateOf(job).load ?? null;
  const steps = compartment ? safeSteps(compartment, load ?? "fan") : [];
  const open = steps.filter((step) => !safe.steps.some((done) => done.step === step.id));
  return (
    <Box sx={{ display: "grid", gap: 5, maxWidth: 820 }}>
      {safe.onBench ? (
        <Box component="section" aria-label="Gate">
          <Verdict weight="good" word="Loose on the bench, nothing connected" />
          <Typography sx={{ mt: 1 }}>
            Nothing to lock off. A capacitor in its carton may still be charged.
          </Typography>
          <Box sx={{ display: "flex", gap: 3, mt: 2, flexWrap: "wrap" }}>
            <Onward />
            <Button
              color="inherit"
              sx={{ minHeight: TOUCH }}
              onClick={() => add({ kind: "on-bench", onBench: false })}
            >
              It is in its machine
            </Button>
          </Box>
        </Box>
      ) : (
        <>
          <Box
            component="section"
            aria-label="Gate"
            aria-live="polite"
            sx={{
              borderTop: "3px solid",
              borderColor: open.length === 0 && compartment ? "success.main" : "primary.main",
              pt: 3,
            }}
          >
            {safe.poweredAt ? (
              <Typography role="status" sx={{ fontWeight: 650, mb: 1 }}>
                Power was on at {clock(safe.poweredAt)}: every step again before a hand goes in.
              </Typography>
            ) : null}
            {compartment ? (
              open.length === 0 ? (
                <Verdict weight="good" word="Safe to touch" />
              ) : (
                <Verdict weight="open" word={`${open.length} of ${steps.length} to do`} />
              )
            ) : (
              <Typography sx={{ fontWeight: 600 }}>
                Which machine is it? The steps are made from it.
              </Typography>
            )}
            {open.length === 0 && compartment ? (
              <Box sx={{ display: "flex", gap: 3, mt: 2, flexWrap: "wrap" }}>
                <Onward />
                <Button
                  color="inherit"
                  sx={{ minHeight: TOUCH }}
                  onClick={() => add({ kind: "power", on: true })}
                >
                  Power goes on again
                </Button>
              </Box>
            ) : null}
          </Box>
          <Box>
            <Button
              color="inherit"
              variant="outlined"
              sx={{ minHeight: TOUCH }}
              onClick={() => add({ kind: "on-bench", onBench: true })}
            >
              A loose motor on the bench: nothing to lock off
            </Button>
          </Box>
          {compartment ? null : (
            <Box sx={{ maxWidth: 480 }}>
              <EquipmentChoice />
            </Box>
          )}
          {compartment ? (
            <Fold
              title="Which supply it is"
              open={safe.supply === null && safe.poweredAt === null && open.length === steps.length}
              summary={safe.supply ? `${safe.supply.between} V measured` : "measure before it is locked off"}
            >
              <SupplySeen />
            </Fold>
          ) : null}
          <Box
            component="ol"
            aria-label="Steps"
            sx={{ listStyle: "none", m: 0, p: 0, borderTop: "1.5px solid" }}
          >
            {steps.map((step) => (
              <Step key={step.id} step={step} done={safe.steps.find((one) => one.step === step.id) ?? null} />
            ))}
          </Box>
          <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
            Personal protection as the site’s arc-flash label and local code say. This list does not replace
            them, the maker’s word or a <Say>license</Say>.{" "}
            <PlainLink href={`/jobs/${id}/trace`}>Trace</PlainLink> is next.
          </Typography>
        </>
      )}
      <UndoButtons />
    </Box>
  );
}

function Onward() {
  const { id } = useJob();
  return (
    <Button component={NextLink} href={`/jobs/${id}/trace`} variant="contained" sx={{ minHeight: TOUCH }}>
      On to Trace
    </Button>
  );
}

function clock(at: string): string {
  return new Date(at).toLocaleTimeString([], { hour: "2-digit", minute: "2-digit" });
}

/** One step, ticked by its whole line; a reading has its field, a discharge its countdown. */
function Step({ step, done }: { step: SafeStep; done: SafeStepDone | null }) {
  const words = useWords();
  const { add } = useJob();
  const tick = (volts?: number) =>
    add({ kind: "safe-step", step: step.id, done: done === null, ...(volts === undefined ? {} : { volts }) });
  return (
    <Box component="li" sx={{ borderBottom: "1px solid", borderColor: "divider", py: 1 }}>
      <Tick checked={done !== null} onTick={() => tick()} high>
        <span>
          <Box
            component="span"
            sx={{
              display: "block",
              fontWeight: 650,
              fontSize: "1.0625rem",
              color: done ? "text.secondary" : "text.primary",
            }}
          >
            {words(step.does)}
          </Box>
          <Box component="span" sx={{ display: "block", color: "text.secondary", fontSize: "0.9375rem" }}>
            {done
              ? `Done ${clock(done.at)}${done.by ? ` by ${done.by}` : ""}${done.volts === null ? "" : `, ${done.volts} V`}`
              : words(step.because)}
          </Box>
        </span>
      </Tick>
      {step.kind === "dead" && !done ? (
        <Box sx={{ ml: "38px" }}>
          <DeadVolts onDead={tick} />
        </Box>
      ) : null}
      {step.kind === "discharge" && !done ? (
        <Box sx={{ ml: "38px" }}>
          <DischargeCountdown steps={step.touches} startVolts={step.peakVolts} toolOhms={step.toolOhms} />
          <DeadVolts onDead={tick} label="Volts left, highest pair" />
        </Box>
      ) : null}
    </Box>
  );
}

/** Volts measured there: under the limit they tick the step, over it they say what that means. */
function DeadVolts({
  onDead,
  label = "Highest volts measured",
}: {
  onDead: (volts: number) => void;
  label?: string;
}) {
  const [text, setText] = useState("");
  const [fault, setFault] = useState("");
  const keep = () => {
    if (text.trim() === "") return;
    const volts = parseNumber(text);
    if (volts === null || volts < 0 || volts > 2000) setFault(`“${text.trim()}” are no volts. Write 0.4.`);
    else if (volts >= DEAD_VOLTS)
      setFault(
        `${volts} V is not dead: ${DEAD_VOLTS} V is the most. Another source feeds it, or a capacitor is still charged.`,
      );
    else onDead(volts);
  };
  return (
    <Box sx={{ maxWidth: 380, mt: 1 }}>
      <PlainEntry
        label={label}
        value={text}
        onChange={(value) => {
          setText(value);
          setFault("");
        }}
        onLeave={keep}
        fault={fault === "" ? undefined : fault}
        placeholder="0.4"
        numeric
      />
      {fault ? (
        <Box sx={{ mt: 1 }}>
          <Mark weight="stop" />
        </Box>
      ) : null}
    </Box>
  );
}
