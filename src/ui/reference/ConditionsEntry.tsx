"use client";

import dynamic from "next/dynamic";
import { cableOhmsEachWayOf } from "@/core";
import { useJob } from "../job/JobContext";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { Fold } from "../parts/Fold";

const ConditionsFields = dynamic(
  () => brought(import("./ConditionsFields").then((made) => made.ConditionsFields)),
  { loading: Coming },
);

/** How the motor was when it was read: temperature of its winding, and the cable the meter reads through. */
export function ConditionsEntry() {
  const { job } = useJob("conditions");
  const { windingC, cable } = job.conditions;
  const summary = [
    windingC === undefined ? null : `${windingC} °C`,
    cable ? `cable ${(2 * cableOhmsEachWayOf(job)).toFixed(2)} Ω` : null,
  ].filter(Boolean);
  return (
    <Fold
      title="Temperature and cable"
      summary={summary.length > 0 ? summary.join(" · ") : "not told, no cable"}
    >
      <ConditionsFields />
    </Fold>
  );
}
