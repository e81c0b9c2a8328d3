"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { Plate } from "@/core";
import { mountingSteps, type Need } from "@/core/replacement";

/** The checklist for mounting; ticks are for the hands and are not kept. */
export function Mounting({ need, name, plate }: { need: Need; name: string; plate: Plate }) {
  const steps = mountingSteps(need, { id: name, name, plate, count: 1 });
  return (
    <Box>
      <Typography variant="h3" sx={{ fontSize: "1rem", fontWeight: 700 }}>
        Mounting
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, mt: 1, p: 0 }}>
        {steps.map(({ id, says }) => (
          <li key={id}>
            <Box
              component="label"
              sx={{
                display: "flex",
                gap: 3,
                alignItems: "flex-start",
                minHeight: 44,
                py: 1,
                cursor: "pointer",
              }}
            >
              <Box
                component="input"
                type="checkbox"
                sx={{
                  width: 22,
                  height: 22,
                  mt: 0.25,
                  flex: "none",
                  accentColor: "var(--mui-palette-success-main)",
                }}
              />
              <span>{says}</span>
            </Box>
          </li>
        ))}
      </Box>
    </Box>
  );
}
