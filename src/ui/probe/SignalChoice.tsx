"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { Fold } from "../parts/Fold";
import { ON, SOUND, signal, VIBRATION } from "../parts/signals";
import { TOUCH } from "../theme/measures";

const KINDS = [
  { setting: SOUND, words: "Sound" },
  { setting: VIBRATION, words: "Vibration" },
] as const;

/** Whether this device sounds and buzzes when a value is taken by itself and when the cooling time is over. */
export function SignalChoice() {
  const sound = SOUND.useText() === ON;
  const vibration = VIBRATION.useText() === ON;
  const on = { Sound: sound, Vibration: vibration };
  const summary = KINDS.filter(({ words }) => on[words]).map(({ words }) => words.toLowerCase());
  return (
    <Fold
      title="Sound and vibration"
      summary={summary.length === 0 ? "off on this device" : summary.join(" and ")}
    >
      <Box sx={{ display: "flex", gap: 3 }}>
        {KINDS.map(({ setting, words }) => (
          <Button
            key={words}
            color="inherit"
            aria-pressed={on[words]}
            onClick={() => {
              setting.keep(on[words] ? null : ON);
              if (!on[words]) signal("taken");
            }}
            sx={{ minHeight: TOUCH }}
          >
            {words}: {on[words] ? "on" : "off"}
          </Button>
        ))}
      </Box>
    </Fold>
  );
}
