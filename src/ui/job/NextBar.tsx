"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import NextLink from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { useWireName } from "../land/useWireName";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";
import { useAnswer, useJobWiring, useWholeJob, useWorking } from "./JobContext";
import { NOW, nextStep } from "./nextStep";
import type { Stage } from "./stages";

/** Always on the screen: the one thing to do next. Nothing stands there while the stage itself asks for something. */
export function NextBar({ stage }: { stage: Stage }) {
  const say = useWords();
  const { id, job } = useWholeJob();
  const answer = useAnswer();
  const wiring = useJobWiring();
  const working = useWorking();
  const wireName = useWireName();
  const router = useRouter();
  const next = working ? null : nextStep({ stage, job, answer, wiring, wireName });
  const here = next?.stage === stage;
  const inView = useInView(here ? `${NOW} ${next.says}` : "");
  const href = next?.stage === "home" ? "/" : here ? `#${NOW}` : next ? `/jobs/${id}/${next.stage}` : null;
  useHotkeys("mod+enter", () => href && router.push(href), { enableOnFormTags: true, preventDefault: true }, [
    href,
  ]);
  const shown = next !== null && !(here && inView);
  return (
    <Box
      component="nav"
      aria-label="Next"
      className="no-print"
      sx={{
        order: { xs: 8, md: 0 },
        position: "sticky",
        bottom: { xs: RAIL_HEIGHT, md: 0 },
        zIndex: 3,
        display: shown ? "flex" : "none",
        // It comes up under a finger that is on its way: at first a touch is for what it covers.
        "@keyframes untouched": { from: { pointerEvents: "none" }, to: { pointerEvents: "none" } },
        animation: `untouched ${UNTOUCHED_MS}ms`,
        justifyContent: "flex-end",
        alignItems: "center",
        px: { xs: 3, md: 6 },
        py: 1,
        borderTop: "1.5px solid",
        borderColor: "text.primary",
        bgcolor: "background.default",
      }}
    >
      {next ? (
        <Button
          component={NextLink}
          variant="contained"
          href={href ?? ""}
          aria-keyshortcuts="Control+Enter"
          sx={{ minHeight: TOUCH, px: 5, width: { xs: "100%", sm: "auto" }, lineHeight: 1.2 }}
        >
          Next: {say(next.says)}
        </Button>
      ) : null}
    </Box>
  );
}

/** As long as a hand takes that had decided before. */
const UNTOUCHED_MS = 500;

/** Height of the rail where it lies at the foot of a phone's screen, pixels. */
export const RAIL_HEIGHT = 52;

/** Whether the step that is meant is on the screen; looked up anew when `key` changes, never while it is empty. */
function useInView(key: string): boolean {
  const [inView, setInView] = useState(false);
  useEffect(() => {
    const found = key === "" ? null : document.getElementById(NOW);
    if (!found) {
      setInView(false);
      return;
    }
    const seen = new IntersectionObserver(([entry]) => setInView(entry?.isIntersecting ?? false), {
      threshold: 0.6,
    });
    seen.observe(found);
    return () => seen.disconnect();
  }, [key]);
  return inView;
}
