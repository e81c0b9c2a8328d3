"use client";

import dynamic from "next/dynamic";
import { useMemo } from "react";
import { comparison, type Reference } from "@/core";
import { useJob, useLeadNames } from "../job/JobContext";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { Fold } from "../parts/Fold";
import { Verdict } from "../parts/Verdict";
import { REFERENCE_WEIGHT } from "./referenceWeight";

const EarlierSheetChoice = dynamic(
  () => brought(import("./EarlierSheetChoice").then((made) => made.EarlierSheetChoice)),
  { loading: Coming },
);
const WrittenReference = dynamic(
  () => brought(import("./WrittenReference").then((made) => made.WrittenReference)),
  { loading: Coming },
);
const ReferenceComparison = dynamic(
  () => brought(import("./ReferenceComparison").then((made) => made.ReferenceComparison)),
  { loading: Coming },
);

/** Readings held against what a plate, a manual or an earlier sheet gives: a verdict for each place, and of the whole. */
export function ReferencePanel() {
  const { job, add } = useJob("reference");
  const { reference } = job;
  const set = (next: Reference) => add({ kind: "reference", reference: next });
  return (
    <Fold
      title="Against a reference"
      summary={reference ? <OfAll /> : "none given"}
      open={reference !== null}
    >
      {reference ? (
        <EachPlace reference={reference} />
      ) : (
        <>
          <EarlierSheetChoice />
          <WrittenReference onReference={set} />
        </>
      )}
    </Fold>
  );
}

/** Worked out anew with every reading, where there is something to hold it against. */
function useVerdict() {
  const { job } = useJob("reference", "conditions", "meter", "pairReadings");
  const { names } = useLeadNames();
  return useMemo(() => comparison(job, names), [job, names]);
}

function OfAll() {
  const verdict = useVerdict();
  return verdict && <Verdict weight={REFERENCE_WEIGHT[verdict.overall]} />;
}

function EachPlace({ reference }: { reference: Reference }) {
  const verdict = useVerdict();
  return verdict && <ReferenceComparison reference={reference} verdict={verdict} />;
}
