"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { UndoButtons } from "../job/UndoButtons";
import { EquipmentChoice } from "./EquipmentChoice";
import { OldWiring } from "./OldWiring";
import { Photos } from "./Photos";

/** Trace: the compartment before anything is loosened: photos with pins, old lead by old lead, and what each was. */
export function TraceStage() {
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,7fr) minmax(0,5fr)" },
        gap: { xs: 6, md: 10 },
      }}
    >
      <Photos />
      <Box sx={{ display: "grid", gap: 5, alignContent: "start", minWidth: 0 }}>
        <Box component="section" aria-label="Equipment" sx={{ display: "grid", gap: 2 }}>
          <Typography variant="h2">The equipment</Typography>
          <EquipmentChoice />
        </Box>
        <OldWiring />
        <UndoButtons />
      </Box>
    </Box>
  );
}
