"use client";

import { useAnswer } from "../job/JobContext";
import look from "./AnswerChoice.module.css";

interface Props {
  /** 0 is the best answer; from 1 on, the alternatives. */
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
}

/** The answers that are left, one touch apart: the drawing below shows the one chosen. */
export function AnswerChoice({ chosen, onChoose }: Props) {
  const answer = useAnswer();
  if (!answer || answer.alternatives.length === 0 || answer.family === null) return null;
  const shares = [answer.confidence, ...answer.alternatives.map((other) => other.confidence)];
  const keys = [answer, ...answer.alternatives].map(
    ({ family, roles }) => `${family} ${JSON.stringify(roles)}`,
  );
  return (
    <fieldset aria-label="Answers that are left" className={look.answers}>
      {shares.map((share, index) => (
        <button
          type="button"
          key={keys[index]}
          aria-pressed={index === chosen}
          aria-label={`${index === 0 ? "Best answer" : `Alternative ${index}`}, ${percentOf(share)}`}
          onClick={() => onChoose(index)}
        >
          {percentOf(share)}
        </button>
      ))}
    </fieldset>
  );
}

function percentOf(share: number): string {
  const percent = Math.min(99.9, share * 100);
  return percent < 0.1
    ? "<0.1 %"
    : `${percent < 10 || percent > 99 ? percent.toFixed(1) : Math.floor(percent)} %`;
}
