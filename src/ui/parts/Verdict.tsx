import type { Weight } from "@/core";
import look from "./Verdict.module.css";

/** What a verdict weighs, and what is still open. */
export type Shown = Weight | "open";

const WORD: Readonly<Record<Shown, string>> = {
  good: "Good",
  again: "Look again",
  stop: "Stop",
  open: "Open",
};

/** A verdict's mark and word: told by shape and word, coloured besides. */
export function Verdict({ weight, word = WORD[weight] }: { weight: Shown; word?: string }) {
  return (
    <span className={`${look.verdict} ${look[weight]}`}>
      <Mark weight={weight} />
      {word}
    </span>
  );
}

/** The mark alone: a tick, a turning arrow, a filled bar in a square, a ring. */
export function Mark({ weight, size = 18 }: { weight: Shown; size?: number }) {
  const line = { fill: "none", stroke: "currentColor", strokeWidth: 2, strokeLinecap: "round" } as const;
  return (
    <span className={`${look.mark} ${look[weight]}`}>
      <svg width={size} height={size} viewBox="0 0 20 20" aria-hidden="true">
        {weight === "good" ? <path d="M3 11l5 5 9-12" {...line} strokeWidth={2.6} /> : null}
        {weight === "again" ? <path d="M16 6A7 7 0 1 0 17 12M16.5 1.5V6H12" {...line} /> : null}
        {weight === "stop" ? (
          <>
            <rect x="2" y="2" width="16" height="16" rx="2" fill="currentColor" />
            <path d="M6 10h8" {...line} stroke="var(--mui-palette-background-paper)" strokeWidth={3} />
          </>
        ) : null}
        {weight === "open" ? <circle cx="10" cy="10" r="7" {...line} strokeDasharray="3 3.3" /> : null}
      </svg>
    </span>
  );
}
