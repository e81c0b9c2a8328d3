"use client";

import Box from "@mui/material/Box";
import { ASKS, type Ask } from "@/core";
import { useJob } from "../job/JobContext";
import { TOUCH } from "../theme/measures";

const WORDS: Readonly<Record<Ask, string>> = {
  all: "Everything",
  speeds: "Which speed is which",
  capacitor: "Where the capacitor goes",
  shared: "Which lead is shared",
  sound: "Is it sound",
};

/** What the probing is to find out: one touch, changed at any time, and nothing read is lost. */
export function AskChoice() {
  const { job, add } = useJob("ask");
  return (
    <Box role="group" aria-label="What do you want to know?" sx={{ mb: 4 }}>
      <Box component="span" sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary", mb: 1 }}>
        What do you want to know?
      </Box>
      <Box
        sx={{
          display: "flex",
          flexWrap: { xs: "nowrap", md: "wrap" },
          overflowX: { xs: "auto", md: "visible" },
          gap: 1.5,
        }}
      >
        {ASKS.map((ask) => {
          const chosen = job.ask === ask;
          return (
            <Box
              component="button"
              type="button"
              key={ask}
              aria-pressed={chosen}
              onClick={() => (chosen ? undefined : add({ kind: "ask", ask }))}
              sx={{
                minHeight: TOUCH,
                px: 2.5,
                flexShrink: 0,
                font: "inherit",
                fontSize: "0.9375rem",
                fontWeight: chosen ? 700 : 400,
                color: "text.primary",
                bgcolor: "background.paper",
                border: chosen ? "2.5px solid" : "1px solid",
                borderColor: chosen ? "text.primary" : "divider",
                cursor: "pointer",
              }}
            >
              {WORDS[ask]}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
