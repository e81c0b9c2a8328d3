"use client";

import { useEffect, useMemo, useState } from "react";
import { type OhmsShown, settledValue } from "@/core";
import { scpiMeter, seededRandom, shownOf } from "@/core/bench";
import type { PracticeTask } from "@/core/practice";

/** Where the two probes are; a place is a lead's id, "shell", or null for in the air. */
export interface ProbePlaces {
  readonly first: string | null;
  readonly second: string | null;
}

/** What the practice meter's display does. */
export interface PracticeDisplay {
  readonly shown: OhmsShown | null;
  /** The value it has come to rest on; null while it moves or nothing is touched. */
  readonly steady: OhmsShown | null;
}

const POLL_MS = 120;
const KEPT = 5;
const NOTHING: PracticeDisplay = { shown: null, steady: null };

/** A meter in the page that behaves as a real one: it settles, its last digit moves, open is OL. */
export function usePracticeMeter(task: PracticeTask, seed: number, places: ProbePlaces): PracticeDisplay {
  const [display, setDisplay] = useState<PracticeDisplay>(NOTHING);
  const meter = useMemo(
    () => scpiMeter(task.motor.network, task.meter, seededRandom(seed + 1), task.shellOhms),
    [task, seed],
  );
  const { first, second } = places;
  useEffect(() => {
    setDisplay(NOTHING);
    const touch = touchCommand(first, second);
    if (!touch) return;
    meter.answer(touch, performance.now());
    let latest: OhmsShown[] = [];
    const timer = setInterval(() => {
      const shown = shownOf(meter.answer("READ?", performance.now()) ?? "");
      if (!shown) return;
      latest = [...latest, shown].slice(-KEPT);
      setDisplay({ shown, steady: settledValue(latest, task.meter.resolutionOhms) });
    }, POLL_MS);
    return () => {
      clearInterval(timer);
      meter.answer("ROUT:REL", performance.now());
    };
  }, [meter, first, second, task.meter.resolutionOhms]);
  return display;
}

function touchCommand(first: string | null, second: string | null): string | null {
  if (first === null || second === null) return null;
  if (first === "shell" || second === "shell")
    return `ROUT:TOUC "${first === "shell" ? second : first}",SHELL`;
  return `ROUT:TOUC "${first}","${second}"`;
}
