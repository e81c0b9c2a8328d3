"use client";

import Button from "@mui/material/Button";
import { dequal } from "dequal/lite";
import dynamic from "next/dynamic";
import { memo, useState } from "react";
import type { Lead } from "@/core";
import { type Assumption, type CheckFinding, emptied, FRAME, type PlanStep } from "@/core/wiring";
import { useJob, useJobWiring, useLeadNames } from "../job/JobContext";
import { brought } from "../parts/brought";
import { Fold } from "../parts/Fold";
import { LeadTag } from "../parts/LeadTag";
import { Notice } from "../parts/Notice";
import { Tick } from "../parts/Tick";
import { useSteady } from "../parts/useSteady";
import { TOUCH } from "../theme/measures";
import text from "../theme/text.module.css";
import { useWords } from "../words/UsageProvider";
import { CurrentStep } from "./CurrentStep";
import panel from "./panelHead.module.css";
import look from "./StepList.module.css";
import type { Steps } from "./useSteps";

const StepMode = dynamic(() => brought(import("./StepMode").then((made) => made.StepMode)));

interface Props {
  readonly work: Steps;
  readonly check: {
    readonly weight: CheckFinding["weight"];
    readonly findings: readonly CheckFinding[];
    readonly assumes: readonly Assumption[];
  } | null;
}

/** The work one wire at a time: the one at hand large, what follows under it, what is done folded away. */
export function StepList({ work, check }: Props) {
  const words = useWords();
  const { job } = useJob("oldLeads");
  const [alone, setAlone] = useState(false);
  const showAlone = useSteady(() => setAlone(true));
  const { plan, steps, done, open, current } = work;
  const { kind } = useJobWiring();
  const { leadOf } = useLeadNames();
  const tick = useSteady((id: string) => {
    const step = steps.find((one) => one.id === id);
    if (step) work.tick(step);
  });
  const line = (step: PlanStep) => (
    <StepLine
      key={step.id}
      id={step.id}
      moves={
        step.lead === null
          ? "nothing"
          : step.lead === FRAME || kind === "retrofit"
            ? "wire"
            : leadOf(step.lead)
      }
      because={step.because}
      {...work.words(step)}
      done={work.isDone(step)}
      onTick={tick}
    />
  );
  const empty = emptied(
    plan,
    job.oldLeads.flatMap(({ terminal }) => (terminal ? [terminal] : [])),
  );
  return (
    <section aria-label="Landing list">
      <div className={panel.head}>
        <h2 className={text.h2}>One wire at a time</h2>
        <p className={`${text.text} ${text.faint} ${look.count}`}>
          {done.length} of {steps.length} done
        </p>
        {current ? <OneAScreen onTouch={showAlone} /> : null}
      </div>
      {check && check.weight === "stop" ? (
        <Notice weight="stop" word="Stop: do not power this" sx={{ mb: 3 }}>
          <p className={text.text}>{words(check.findings[0]?.says ?? "")}</p>
        </Notice>
      ) : null}
      {check && check.assumes.length > 0 ? (
        <p className={`${text.text} ${look.assumed}`}>
          Assumed still: {[...new Set(check.assumes.map((one) => one.short))].join(", ")}.
        </p>
      ) : null}
      <PrintedSteps work={work} />
      {current ? (
        <div className="no-print">
          <CurrentStep work={work} step={current} />
        </div>
      ) : null}
      {open.length > 1 ? (
        <ol className={`no-print ${look.then}`} aria-label="Then">
          {open.slice(1).map(line)}
        </ol>
      ) : null}
      {done.length > 0 ? (
        <div className={`no-print ${look.folded}`}>
          <Fold title="Done" summary={`${done.length} of ${steps.length}`}>
            <ol aria-label="Done" className={look.done}>
              {done.map(line)}
            </ol>
          </Fold>
        </div>
      ) : null}
      {empty.length > 0 ? (
        <p className={`${text.text} ${look.folded}`}>
          Becomes empty: <strong>{empty.join("; ")}</strong>.
        </p>
      ) : null}
      <ul className={look.cautions}>
        {plan.cautions.map((caution) => (
          <li key={caution}>{words(caution)}</li>
        ))}
        <li>
          Locked out, tagged and proved dead first. The plate, the maker’s drawing and local code come before
          this list.
        </li>
      </ul>
      {alone ? <StepMode work={work} open onClose={() => setAlone(false)} /> : null}
    </section>
  );
}

/** Not drawn anew with every wire. */
const OneAScreen = memo(function OneAScreen({ onTouch }: { onTouch: () => void }) {
  return (
    <Button className="no-print" color="inherit" onClick={onTouch} sx={{ minHeight: TOUCH }}>
      One wire a screen
    </Button>
  );
});

/** On paper the whole list, to tick by pen. */
function PrintedSteps({ work }: { work: Steps }) {
  return (
    <ol aria-label="Every step" className={look.printed}>
      {work.steps.map((step) => {
        const { what, where, isCapped } = work.words(step);
        return (
          <li key={step.id}>
            {work.isDone(step) ? "☑" : "☐"} <strong>{what}</strong>
            {where === "" ? "" : ` ${isCapped ? "⊓" : "→"} ${where}`} — {step.because}
          </li>
        );
      })}
    </ol>
  );
}

interface LineProps {
  readonly id: string;
  /** The lead that is moved, a wire of another kind, or a work without a wire. */
  readonly moves: Lead | "wire" | "nothing";
  readonly what: string;
  readonly where: string;
  readonly isCapped: boolean;
  readonly because: string;
  readonly done: boolean;
  /** The same from one drawing to the next. */
  readonly onTick: (id: string) => void;
}

/** A step of the list; drawn anew where something of it changed, and not with every wire. */
const StepLine = memo(DrawnLine, dequal);

function DrawnLine({ id, moves, what, where, isCapped, because, done, onTick }: LineProps) {
  return (
    <li className={look.line}>
      <Tick checked={done} onTick={() => onTick(id)} className={look.tick}>
        {moves === "nothing" ? (
          <span className={`${look.what} ${done ? look.past : ""}`}>{what}</span>
        ) : (
          <>
            <span>{moves === "wire" ? <strong>{what}</strong> : <LeadTag lead={moves} name={what} />}</span>
            <span className={`${look.where} ${isCapped || done ? look.past : ""}`}>
              {isCapped ? "⊓ " : "→ "}
              {where}
            </span>
          </>
        )}
        <span className={look.because}>{because}</span>
      </Tick>
    </li>
  );
}
