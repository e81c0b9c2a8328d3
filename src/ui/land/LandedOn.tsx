"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { useEffect, useRef, useState } from "react";
import type { WiringPlan } from "@/core/wiring";
import { useJob, useJobWiring } from "../job/JobContext";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { Fold } from "../parts/Fold";
import type { ShownCheck } from "./useWiringCheck";

const LandedOnChoice = dynamic(
  () => brought(import("./LandedOnChoice").then((made) => made.LandedOnChoice)),
  {
    loading: Coming,
  },
);

/**
 * The equipment, and what a person chooses of the plan: one line once it is planned. By keyboard the first letter picks
 * and the next one picks on: so while keys choose, the choice stays, until Enter or until the focus goes elsewhere.
 */
export function LandedOn({ check }: { check: ShownCheck | null }) {
  const wiring = useJobWiring();
  const { job } = useJob("compartment");
  const chosen = job.compartment;
  const [held, setHeld] = useState(false);
  const all = useRef<HTMLDivElement>(null);
  const plan = wiring.kind === "plan" || wiring.kind === "retrofit" ? wiring.plan : null;
  const inside = <LandedOnChoice check={check} />;
  /** Left by Enter: the focus goes to what the choice folds to, once it is planned. */
  const left = useRef(false);
  const coming = useComing();
  const folds = (plan !== null || (coming && chosen !== null)) && !held;
  useEffect(() => {
    if (!folds || !left.current) return;
    left.current = false;
    all.current?.querySelector<HTMLElement>("[aria-expanded]")?.focus();
  }, [folds]);
  return (
    <Box
      ref={all}
      className="no-print"
      onKeyDown={({ key, target }) => {
        if (!(target instanceof HTMLSelectElement)) return;
        if (key === "Enter" && held) {
          left.current = true;
          setHeld(false);
        } else if (!plan && key !== "Tab" && key !== "Enter") setHeld(true);
      }}
      onBlur={({ currentTarget, relatedTarget }) => {
        if (!currentTarget.contains(relatedTarget)) setHeld(false);
      }}
    >
      {folds ? (
        <Fold title="Landed on" summary={plan ? summaryOf(plan) : (chosen?.title ?? "")}>
          {inside}
        </Fold>
      ) : (
        <Box component="section" aria-label="What it is landed on">
          <Typography variant="h2" sx={{ mb: 2 }}>
            Landed on
          </Typography>
          {inside}
        </Box>
      )}
    </Box>
  );
}

/** Whether the page was opened before its wiring was worked out, and it is not yet: a choice made later stays open for its plan. */
function useComing(): boolean {
  const { kind } = useJobWiring();
  const [coming, setComing] = useState(kind === "on-its-way");
  const over = coming && kind !== "on-its-way";
  if (over) setComing(false);
  return coming && !over;
}

function summaryOf({ compartment, school }: WiringPlan): string {
  return [compartment.title, `${Math.round(compartment.supply.volts)} V`, school]
    .filter((part) => part !== "")
    .join(" · ");
}
