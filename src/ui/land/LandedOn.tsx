"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { useJobWiring } from "../job/JobContext";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { Fold } from "../parts/Fold";
import type { WiringCheck } from "./useWiringCheck";

const LandedOnChoice = dynamic(
  () => brought(import("./LandedOnChoice").then((made) => made.LandedOnChoice)),
  {
    loading: Coming,
  },
);

/** The equipment, and what a person chooses of the plan: one line once it is planned. */
export function LandedOn({ check }: { check: WiringCheck | null }) {
  const wiring = useJobWiring();
  const inside = <LandedOnChoice check={check} />;
  if (wiring.kind !== "plan" && wiring.kind !== "retrofit")
    return (
      <Box component="section" aria-label="What it is landed on" className="no-print">
        <Typography variant="h2" sx={{ mb: 2 }}>
          Landed on
        </Typography>
        {inside}
      </Box>
    );
  const { compartment, school } = wiring.plan;
  return (
    <Box className="no-print">
      <Fold
        title="Landed on"
        summary={[compartment.title, `${Math.round(compartment.supply.volts)} V`, school]
          .filter((part) => part !== "")
          .join(" · ")}
      >
        {inside}
      </Fold>
    </Box>
  );
}
