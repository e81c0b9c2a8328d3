"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { Usage } from "@/core/words";
import { TOUCH } from "../theme/measures";
import { useUsage } from "./UsageProvider";

const CHOICES: readonly (readonly [Usage, string, string])[] = [
  ["north-american", "North American", "ground, hot, color, wye"],
  ["international", "International", "earth, live, colour, star"],
];

/** Whose words and spelling every page, drawing and sheet of this browser uses. */
export function UsageChoice() {
  const { usage, choose } = useUsage();
  return (
    <Box component="section" aria-label="Whose words" sx={{ mb: 5 }}>
      <Typography component="h2" id="whose-words" sx={{ fontWeight: 700, mb: 1 }}>
        Whose words these pages use
      </Typography>
      <Box role="group" aria-labelledby="whose-words" sx={{ display: "flex", flexWrap: "wrap", gap: 2 }}>
        {CHOICES.map(([id, name, sample]) => {
          const chosen = usage === id;
          return (
            <Box
              component="button"
              type="button"
              key={id}
              aria-pressed={chosen}
              onClick={() => choose(id)}
              sx={{
                flex: { xs: "1 1 150px", sm: "0 1 auto" },
                minHeight: TOUCH,
                px: 3,
                py: 1,
                font: "inherit",
                textAlign: "left",
                color: "text.primary",
                bgcolor: "background.paper",
                border: chosen ? "2.5px solid" : "1px solid",
                borderColor: chosen ? "text.primary" : "divider",
                cursor: "pointer",
              }}
            >
              <Box component="span" sx={{ display: "block", fontWeight: chosen ? 700 : 400 }}>
                {chosen ? "✓ " : ""}
                {name}
              </Box>
              <Box component="span" sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary" }}>
                {sample}
              </Box>
            </Box>
          );
        })}
      </Box>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mt: 1 }}>
        Kept in this browser. What somebody typed stays as it was typed.
      </Typography>
    </Box>
  );
}
