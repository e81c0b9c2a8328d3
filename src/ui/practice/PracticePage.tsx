"use client";

import type { Grade, PracticeWish } from "@/core/practice";
import { GradeView } from "./GradeView";
import { PracticeBench } from "./PracticeBench";
import { PracticeRoom } from "./PracticeRoom";
import { PracticeSetUp } from "./PracticeSetUp";
import { Progress } from "./Progress";
import { keptMotor, type PracticeWork } from "./practiceState";

/** Practice: a motor nobody has named yet, two probes, a meter; then the bench says what was right. */
export function PracticePage() {
  return (
    <PracticeRoom<PracticeWish, PracticeWork, Grade>
      tab="naming"
      intro="A motor with its leads in no order, and a meter. Name the leads with as few readings as you can; the bench says what was right and where the reasoning went astray."
      kept={keptMotor}
      begun={(task) => ({
        ...task,
        readings: [],
        frame: [],
        naming: { family: "", roles: {}, fault: "none" },
      })}
      setUp={(person, onBegin) => <PracticeSetUp person={person} onBegin={onBegin} />}
      bench={(on) => <PracticeBench {...on} />}
      result={(of) => <GradeView {...of} />}
      progress={(person, upTo) => <Progress person={person} upTo={upTo} />}
    />
  );
}
