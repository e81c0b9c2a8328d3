"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { memo, useState } from "react";
import { sourceWords } from "@/core";
import type { Assumption, FittedMotor } from "@/core/wiring";
import { keepDeviceName, MOST_NAME_LETTERS, useDeviceName } from "../job/deviceName";
import { useJob, useJobWiring, useSeesAll } from "../job/JobContext";
import { PlainEntry } from "../parts/PlainEntry";
import { useLocalDay } from "../parts/useLocalDay";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/measures";
import text from "../theme/text.module.css";
import { useWords } from "../words/UsageProvider";
import look from "./CheckPanel.module.css";
import { FindingList } from "./FindingList";
import { useWireName } from "./useWireName";
import type { ShownCheck } from "./useWiringCheck";

const SUMMARY = {
  stop: "Stop: not to be powered like this",
  again: "Nothing stops it; look again at what is marked",
  good: "Good in every state",
} as const;

/** What the planned circuit does in every state of the equipment, run before anyone turns the power on. */
export function CheckPanel({ check }: { check: ShownCheck }) {
  const wiring = useJobWiring();
  const name = useWireName();
  if (wiring.kind !== "plan" && wiring.kind !== "retrofit") return null;
  const { compartment } = wiring.plan;
  // What is assumed stands below with the fact that replaces it: not twice.
  const assumed = new Set(check.assumes.map(({ says }) => says));
  const grave = check.findings.filter(({ weight, says }) => weight !== "good" && !assumed.has(says));
  const good = check.findings.filter(({ weight }) => weight === "good");
  return (
    <section aria-label="Check">
      <h2 className={text.h2}>Run before power</h2>
      <div aria-live="polite" aria-busy={check.working} className={look.verdict}>
        {check.working ? (
          <Verdict weight="open" word="Being run …" />
        ) : (
          <Verdict weight={check.weight} word={SUMMARY[check.weight]} />
        )}
      </div>
      <Assumed assumes={check.assumes} />
      <div className={look.findings} data-grave={grave.length > 0}>
        {grave.length > 0 ? (
          <FindingList findings={grave} label="To mend" name={name} compartment={compartment} />
        ) : null}
        <FindingList findings={good} label="As it should be" name={name} compartment={compartment} />
      </div>
      <p className={`${text.text} ${text.faint} ${text.small} ${look.figures}`}>
        Figures are estimates of a machine model fitted to the plate and the ohms; the plate and the clamp
        meter outrank them.
      </p>
      {wiring.kind === "plan" ? <Fitted fitted={wiring.fitted} /> : null}
      <Ready weight={check.weight} working={check.working} />
    </section>
  );
}

/** What nobody stated and the verdict stands on, each with the fact that replaces it. What is assumed looks assumed. */
function Assumed({ assumes }: { assumes: readonly Assumption[] }) {
  const words = useWords();
  if (assumes.length === 0) return null;
  return (
    <section aria-label="Assumed" className={look.assumed}>
      <h3 className={text.h3}>Assumed still</h3>
      <ul>
        {assumes.map(({ code, says, fact, effect, source }) => (
          <li key={`${code} ${says}`} data-effect={effect}>
            <em>{words(says)}</em>{" "}
            <span className={`${text.faint} ${text.small}`}>({sourceWords(source)})</span>
            <div className={look.fact}>
              {effect === "stop" ? "Needed first: " : "To know it: "}
              {fact}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** How well the machine behind the figures meets the plate. */
function Fitted({ fitted }: { fitted: FittedMotor }) {
  const { met } = fitted;
  const figure = (value: number) => Number(value.toPrecision(3));
  return (
    <p className={`${text.text} ${text.faint} ${text.small} ${look.fitted}`}>
      Fitted to{" "}
      {met
        .map(
          ({ what, plate, model, unit }) =>
            `${what}: ${figure(plate)} ${unit}, the model ${figure(model)} ${unit}`,
        )
        .join("; ")}
      .
    </p>
  );
}

/** A plan with a stop is not marked ready; whoever goes on all the same writes down why. */
const Ready = memo(function Ready({ weight, working }: Pick<ShownCheck, "weight" | "working">) {
  const { job, add } = useJob("ready");
  const seesAll = useSeesAll();
  const known = useDeviceName();
  const day = useLocalDay(job.ready?.at ?? "");
  const [name, setName] = useState("");
  const [reason, setReason] = useState("");
  const [missing, setMissing] = useState<"reason" | "name" | null>(null);
  // Ready was said of a plan without a stop: a stop that has come since takes it back.
  if (job.ready && (job.ready.override !== null || weight !== "stop"))
    return (
      <Box sx={{ mt: 3, display: "flex", gap: 3, alignItems: "center", flexWrap: "wrap" }}>
        <Verdict
          weight={job.ready.override ? "again" : "good"}
          word={`Marked ready on ${day}${job.ready.by ? ` by ${job.ready.by}` : ""}`}
        />
        {job.ready.override ? <span>against the check: {job.ready.override}</span> : null}
        <Button className="no-print" color="inherit" onClick={() => add({ kind: "ready", ready: false })}>
          Take “ready” back
        </Button>
      </Box>
    );
  if (weight !== "stop")
    return (
      <Button
        className="no-print"
        variant="contained"
        disabled={working}
        sx={{ mt: 3, minHeight: TOUCH, px: 6 }}
        // The check of the wires before a wire that is being drawn says nothing of them.
        onClick={() => seesAll() && add({ kind: "ready", ready: true })}
      >
        Mark the plan ready
      </Button>
    );
  const override = () => {
    if (reason.trim().length < 3) {
      setMissing("reason");
      return;
    }
    if (known === "" && name.trim() === "") {
      setMissing("name");
      return;
    }
    if (known === "") keepDeviceName(name);
    add({ kind: "ready", ready: true, override: reason.trim() });
  };
  return (
    <Box
      component="form"
      className="no-print"
      aria-label="Go on against the check"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        override();
      }}
      sx={{ mt: 3, maxWidth: 560, display: "grid", gap: 2 }}
    >
      <Typography>
        A plan with a stop is not marked ready. To go on all the same, write down why: it stays on the record.
      </Typography>
      <PlainEntry
        label="Reason"
        value={reason}
        maxLength={200}
        onChange={(text) => {
          setReason(text);
          setMissing(null);
        }}
        fault={
          missing === "reason"
            ? "Write the reason in a few words; without one the plan stays as it is."
            : undefined
        }
      />
      {known === "" ? (
        <PlainEntry
          label="Your name, kept on this device"
          value={name}
          maxLength={MOST_NAME_LETTERS}
          onChange={(text) => {
            setName(text);
            setMissing(null);
          }}
          fault={missing === "name" ? "Who goes on? The record names them." : undefined}
        />
      ) : (
        <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>Recorded as {known}.</Typography>
      )}
      <Button type="submit" color="error" sx={{ justifySelf: "start", minHeight: TOUCH }}>
        Record the override
      </Button>
    </Box>
  );
});
