"use client";

import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { memo, useCallback, useEffect, useMemo, useState } from "react";
import { useAnswer, useJob, useLeadNames } from "../job/JobContext";
import { NOW } from "../job/nextStep";
import { brought } from "../parts/brought";
import { FieldFault } from "../parts/FieldFault";
import look from "./ReadingEntry.module.css";
import { ReadingForm } from "./ReadingForm";
import { ReadingTools } from "./ReadingTools";
import { simulatedMeter } from "./simulatedMeter";
import { TargetLine } from "./TargetLine";
import type { Target } from "./target";
import type { MeterSource } from "./useMeter";
import { useReadingField } from "./useReadingField";
import { useTarget } from "./useTarget";
import { Weighed } from "./Weighed";

const LiveMeter = dynamic(() => brought(import("./LiveMeter").then((made) => made.LiveMeter)));
const PasteEntry = dynamic(() => brought(import("./PasteEntry").then((made) => made.PasteEntry)));

interface Props {
  /** The target that a person picked. */
  readonly chosen: Target | null;
  readonly onChoose: (target: Target | null) => void;
  /** The simulated meter is attached from the start. */
  readonly simulated?: boolean;
}

/** The two leads to touch now, and the value that goes in: type, Enter, next. */
export const ReadingEntry = memo(function ReadingEntry({ chosen, onChoose, simulated = false }: Props) {
  const { id, job } = useJob("leads");
  const { target, isChosen } = useTarget(chosen);
  const answer = useAnswer();
  const leads = useMemo(() => job.leads.map((lead) => lead.id), [job.leads]);
  const [keypad, setKeypad] = useState(false);
  const [pasted, setPasted] = useState<string | null>(null);
  const [live, setLive] = useState<MeterSource | null>(() => (simulated ? simulatedMeter(id, leads) : null));
  const field = useReadingField({ target, isChosen, onChoose, onTable: setPasted, keepsCursor: !keypad });
  const { input, said } = field;
  const onPasting = useCallback((pasting: boolean) => setPasted(pasting ? "" : null), []);
  const targetKey = target ? JSON.stringify(target) : "";

  useEffect(() => {
    // A pair picked in the table or the loom is meant to be typed next.
    if (targetKey !== "" && isChosen) input.current?.focus();
  }, [targetKey, isChosen, input]);

  return (
    <Weighed
      aria-label="Reading"
      className={`${look.reading} ${target ? look.asks : answer ? (look[answer.status] ?? "") : ""}`}
    >
      <div id={NOW} aria-live="polite" className={look.now}>
        <TargetLine target={target} isChosen={isChosen} because={answer?.nextProbe?.because ?? null} />
      </div>
      <ReadingForm field={field} keypad={keypad} />
      <FieldFault id="reading-fault">{said}</FieldFault>
      <ReadingTools
        keypad={keypad}
        onKeypad={setKeypad}
        pasting={pasted !== null}
        onPasting={onPasting}
        live={live}
        onLive={setLive}
      />
      {live ? (
        <LiveMeter
          source={live.kind === "stand-in" ? { ...live, leads } : live}
          target={target}
          onHold={field.held}
          onSteady={field.awaited}
          hold={field.hold}
        />
      ) : null}
      {pasted === null ? null : (
        <PasteEntry
          text={pasted}
          onText={setPasted}
          onDone={() => {
            setPasted(null);
            input.current?.focus();
          }}
        />
      )}
      <EntryHelp />
    </Weighed>
  );
});

/** The keys of the field, with two of the motor's own leads as examples. */
const EntryHelp = memo(function EntryHelp() {
  const { names } = useLeadNames();
  const [one = "", other = ""] = [...names.values()].map(({ short }) => short);
  return (
    <Typography id="reading-help" sx={{ color: "text.secondary", fontSize: "0.875rem", mt: 1 }}>
      ↑ ↓ another pair · “{one} {other} 12.4” any pair · “{one} shell OL” to the shell · Esc back to the pair
      asked for
    </Typography>
  );
});
