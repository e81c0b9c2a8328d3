"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useJob } from "../job/JobContext";
import { Fold } from "../parts/Fold";
import { EquipmentChoice } from "../trace/EquipmentChoice";
import { Wishes } from "./Wishes";

/** The equipment, and what a person chooses of the plan: one line once it is planned. */
export function LandedOn({ planned }: { planned: boolean }) {
  const { wiring } = useJob();
  const inside = (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "repeat(2, minmax(0,1fr))" },
        gap: 4,
        maxWidth: 900,
        alignItems: "start",
      }}
    >
      <EquipmentChoice />
      {planned ? <Wishes /> : null}
    </Box>
  );
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
