"use client";

import type { FaultGrade, FaultWish } from "@/core/practice";
import { FaultBench } from "./FaultBench";
import { FaultProgress } from "./FaultProgress";
import { FaultResult } from "./FaultResult";
import { FaultSetUp } from "./FaultSetUp";
import { type FaultWork, keptFault } from "./faultState";
import { PracticeRoom } from "./PracticeRoom";

/** Practice of fault finding: a powered machine with a complaint, instruments that cost minutes, one cause to name. */
export function FaultPracticePage() {
  return (
    <PracticeRoom<FaultWish, FaultWork, FaultGrade>
      tab="fault"
      intro="A machine under power, and what its owner says of it. Each measurement costs minutes; name the cause in as few as you can, and do nothing that would hurt you at the real one."
      kept={keptFault}
      begun={(task) => ({ ...task, actions: [] })}
      setUp={(person, onBegin) => <FaultSetUp person={person} onBegin={onBegin} />}
      bench={(on) => <FaultBench {...on} />}
      result={(of) => <FaultResult {...of} />}
      progress={(person, upTo) => <FaultProgress person={person} upTo={upTo} />}
    />
  );
}
