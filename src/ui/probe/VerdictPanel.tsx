"use client";

import { memo } from "react";
import { type Finding, familyById, type Identification, labelWord } from "@/core";
import { useAnswer, useJob, useLeadNames, useWorking } from "../job/JobContext";
import { Fold } from "../parts/Fold";
import slow from "../parts/slow.module.css";
import { STATUS_WORDS } from "../parts/statusWords";
import { Mark, type Shown, Verdict } from "../parts/Verdict";
import { WordLinks } from "../parts/WordLinks";
import text from "../theme/text.module.css";
import { useWords } from "../words/UsageProvider";
import { AskChoice } from "./AskChoice";
import { BrokenIf, CertainList } from "./CertainList";
import { CoolingNotice } from "./CoolingNotice";
import { isShown } from "./isShown";
import { Observed, TieQuestions } from "./TieQuestions";
import type { Target } from "./target";
import look from "./VerdictPanel.module.css";
import { Weighed } from "./Weighed";

const SEVERITY: Readonly<Record<Finding["severity"], Shown>> = {
  note: "open",
  doubt: "again",
  fault: "stop",
};

/** Answers less likely than this are not counted among those that are left. */
const WORTH_COUNTING = 0.01;

/** Made once: what is asked changes by a touch, not by a reading. */
const ASK = <AskChoice />;

interface Props {
  readonly onChoose: (target: Target) => void;
}

/** What this motor is, how sure, and why; faded while readings are weighed that it does not know of. */
export const VerdictPanel = memo(function VerdictPanel({ onChoose }: Props) {
  const answer = useAnswer();
  const working = useWorking();
  if (!answer) return null;
  return (
    <Weighed aria-label="Verdict" aria-live="polite" className={working ? slow.fades : undefined}>
      {ASK}
      <Said answer={answer} onChoose={onChoose} />
    </Weighed>
  );
});

/** The verdict itself: drawn anew with another answer, and not while one is being worked out. */
const Said = memo(function Said({ answer, onChoose }: { answer: Identification } & Props) {
  const words = useWords();
  const { job } = useJob("ask");
  const { weight, word } = STATUS_WORDS[answer.status];
  const early = job.ask !== "all" && answer.status === "settled";
  const family = familyById(answer.family);
  const told = isShown(answer);
  return (
    <>
      <div className={look.status}>
        <Verdict
          weight={weight}
          word={early ? "Answered" : answer.status === "tied" ? tiedWords(answer) : word}
        />
      </div>
      <p className={`${look.kind} ${text.capital}`}>
        {family && !told
          ? "Several kinds of motor are left. "
          : family
            ? words(`${family.title}. `)
            : answer.status === "needs-probe"
              ? "Nothing is known yet. "
              : ""}
        {family && told ? <span className={text.faint}>{sureness(answer)}</span> : null}
      </p>
      <Findings findings={answer.findings} />
      <CoolingNotice onChoose={onChoose} />
      {answer.status === "tied" ? <Tied answer={answer} /> : null}
      <Observed />
      <CertainList answer={answer} />
      <BrokenIf answer={answer} />
      {answer.reasoning.length > 0 ? (
        <>
          <h3 className={`${text.h3} ${look.why}`}>Why</h3>
          <ol className={look.reasons}>
            {answer.reasoning.map((sentence) => (
              <li key={sentence}>{words(sentence)}</li>
            ))}
          </ol>
          <WordLinks words={WORDS} />
        </>
      ) : null}
    </>
  );
});

/** How many answers are left, and that a question settles it. */
function tiedWords({ alternatives }: Identification): string {
  const left = alternatives.filter(({ confidence }) => confidence >= WORTH_COUNTING).length + 1;
  return left < 3
    ? "Two answers left: one question settles it"
    : `${left} answers left: one question settles it`;
}

const WORDS = [
  ["joint", "Joint"],
  ["shared-lead", "Shared lead"],
  ["run-end", "Run end"],
  ["start-end", "Start end"],
] as const;

/** Confidence in words and as a number; never rounded up to certainty. */
function sureness({ confidence }: Identification): string {
  const percent = Math.min(99.9, Math.floor(confidence * 1000) / 10);
  const words =
    confidence >= 0.99
      ? "Sure"
      : confidence >= 0.9
        ? "Likely"
        : confidence >= 0.5
          ? "More likely than not"
          : "One of several";
  return `${words}: ${percent} %.`;
}

function Findings({ findings }: { findings: readonly Finding[] }) {
  const words = useWords();
  return (
    <ul className={look.findings}>
      {findings.map((finding) => {
        const weight = SEVERITY[finding.severity];
        return (
          <li key={finding.says} className={look[weight]}>
            <div className={look.mark}>
              <Mark weight={weight} />
            </div>
            {words(finding.says)}
          </li>
        );
      })}
    </ul>
  );
}

function Tied({ answer }: { answer: Identification }) {
  return (
    <div>
      <TieQuestions answer={answer} />
      {answer.alternatives.length > 0 ? (
        <div className={look.others}>
          <Fold title="It could also be" summary="what else the readings allow">
            <ul>
              {answer.alternatives.map((other) => (
                <Other key={JSON.stringify(other.roles)} other={other} />
              ))}
            </ul>
          </Fold>
        </div>
      ) : null}
    </div>
  );
}

/** Another answer the readings allow, each lead by the trade's word. */
function Other({ other }: { other: Identification["alternatives"][number] }) {
  const { short } = useLeadNames();
  const family = familyById(other.family);
  const roles = Object.entries(other.roles);
  const speeds = roles.filter(([, { role }]) => role === "speed").length;
  const word = (role: (typeof roles)[number][1]) =>
    family ? labelWord(role, speeds, family.roleWords(role, speeds)) : role.role;
  return (
    <li>
      {(other.confidence * 100).toFixed(1)} %, {family?.title.toLowerCase() ?? "another kind"}:{" "}
      <span className={look.roles}>
        {roles.map(([lead, role]) => `${short(lead)} ${word(role)}`).join(" · ")}
      </span>
    </li>
  );
}
