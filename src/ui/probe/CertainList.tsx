"use client";

import type { Identification } from "@/core";
import { Mark } from "../parts/Verdict";
import text from "../theme/text.module.css";
import { useWords } from "../words/UsageProvider";
import look from "./CertainList.module.css";

/** What holds whatever the rest turns out to be, from the first reading that tells it on. */
export function CertainList({ answer }: { answer: Identification }) {
  const words = useWords();
  if (answer.certain.length === 0) return null;
  return (
    <section aria-label="Certain already" className={look.section}>
      <h3 className={text.h3}>Certain already</h3>
      <ul className={look.certain}>
        {answer.certain.map(({ says }) => (
          <li key={says}>
            <div className={look.mark}>
              <Mark weight="good" />
            </div>
            {words(says)}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** While something reads open: what could be broken or hot, and how likely each is. */
export function BrokenIf({ answer }: { answer: Identification }) {
  const words = useWords();
  // A fault says it already, with what to do.
  if (answer.brokenIf.length === 0 || answer.status === "fault") return null;
  return (
    <section aria-label="What reads open" className={look.section}>
      <h3 className={text.h3}>If it is broken, or hot</h3>
      <p className={`${text.text} ${text.faint} ${text.small}`}>
        Something reads open. It may be separate windings, and it may be:
      </p>
      <ul className={look.broken}>
        {answer.brokenIf.map(({ says, confidence }) => (
          <li key={says}>
            {words(says)} <span>({percentOf(confidence)})</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function percentOf(share: number): string {
  const percent = Math.min(99.9, share * 100);
  return `${percent < 10 ? percent.toFixed(1) : Math.floor(percent)} %`;
}
