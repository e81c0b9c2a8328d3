"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { useEffect, useRef, useState } from "react";
import { useJobWiring } from "../job/JobContext";
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
  const [held, setHeld] = useState(false);
  const all = useRef<HTMLDivElement>(null);
  const plan = wiring.kind === "plan" || wiring.kind === "retrofit" ? wiring.plan : null;
  const inside = <LandedOnChoice check={check} />;
  /** Left by Enter: the focus goes to what the choice folds to, once it is planned. */
  const left = useRef(false);
  const folds = plan !== null && !held;
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
      {plan && folds ? (
        <Fold
          title="Landed on"
          summary={[plan.compartment.title, `${Math.round(plan.compartment.supply.volts)} V`, plan.school]
            .filter((part) => part !== "")
            .join(" · ")}
        >
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
