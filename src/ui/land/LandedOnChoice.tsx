"use client";

import Box from "@mui/material/Box";
import { EquipmentChoice } from "../trace/EquipmentChoice";
import type { ShownCheck } from "./useWiringCheck";
import { Wishes } from "./Wishes";

/** The choices themselves: what it is landed on, and what of the plan is a person's to say. */
export function LandedOnChoice({ check }: { check: ShownCheck | null }) {
  return (
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
      {check ? <Wishes forecast={check.speeds} /> : null}
    </Box>
  );
}
