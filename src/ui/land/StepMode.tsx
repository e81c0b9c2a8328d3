"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import Typography from "@mui/material/Typography";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/measures";
import { CurrentStep } from "./CurrentStep";
import type { Steps } from "./useSteps";

/** One wire a screen: nothing else in the way, the touch that says it is done under the thumb. */
export function StepMode({ work, open, onClose }: { work: Steps; open: boolean; onClose: () => void }) {
  const last = work.done.at(-1);
  return (
    <Dialog
      open={open}
      onClose={onClose}
      fullScreen
      slotProps={{ paper: { "aria-label": "One wire a screen" } }}
    >
      <Box
        sx={{
          display: "flex",
          flexDirection: "column",
          minHeight: "100%",
          p: 4,
          maxWidth: 640,
          mx: "auto",
          width: "100%",
        }}
      >
        <Box sx={{ flex: 1 }}>
          {work.current ? (
            <CurrentStep work={work} step={work.current} alone />
          ) : (
            <>
              <Verdict weight="good" word="Every wire is where it belongs" />
              <Typography sx={{ mt: 2 }}>Close this, look at the check, and mark the plan ready.</Typography>
            </>
          )}
        </Box>
        <Box sx={{ display: "flex", gap: 3, mt: 4 }}>
          <Button
            color="inherit"
            disabled={!last}
            onClick={() => last && work.tick(last)}
            sx={{ minHeight: TOUCH, flex: 1 }}
          >
            Back one
          </Button>
          <Button color="inherit" onClick={onClose} sx={{ minHeight: TOUCH, flex: 1 }}>
            Whole list
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}
