"use client";

import type { WiringGrade, WiringTaskWish } from "@/core/practice";
import { PracticeRoom } from "./PracticeRoom";
import { WiringBench } from "./WiringBench";
import { WiringProgress } from "./WiringProgress";
import { WiringResult } from "./WiringResult";
import { WiringSetUp } from "./WiringSetUp";
import { keptWiring, type WiringWork } from "./wiringState";

/** Practice of the wiring: land a motor, or find the one wrong wire; the bench runs it and says what would happen. */
export function WiringPracticePage() {
  return (
    <PracticeRoom<WiringTaskWish, WiringWork, WiringGrade>
      tab="wiring"
      intro="A motor whose leads are named, and equipment to land it on: wire it, or find the one wrong wire in a wiring and say what it would do. Nothing burns here but time."
      kept={keptWiring}
      begun={(task) => ({ ...task, landings: {}, jumpers: [], wrongLeads: [], consequence: null })}
      setUp={(person, onBegin) => <WiringSetUp person={person} onBegin={onBegin} />}
      bench={(on) => <WiringBench {...on} />}
      result={(of) => <WiringResult {...of} />}
      progress={(person, upTo) => <WiringProgress person={person} upTo={upTo} />}
    />
  );
}
