"use client";

import Button from "@mui/material/Button";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { memo, useEffect, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { useWireName } from "../land/useWireName";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";
import { useAnswer, useJobWiring, useWholeJob, useWorking } from "./JobContext";
import look from "./NextBar.module.css";
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
    <nav aria-label="Next" className={`no-print ${look.bar}`} data-shown={shown}>
      {next ? <NextLink href={href ?? ""} says={say(next.says)} /> : null}
    </nav>
  );
}

/** Where it leads; drawn anew with another step. */
const NextLink = memo(function NextLink({ href, says }: { href: string; says: string }) {
  return (
    <Button
      component={Link}
      variant="contained"
      href={href}
      aria-keyshortcuts="Control+Enter"
      sx={{ minHeight: TOUCH, px: 5, width: { xs: "100%", sm: "auto" }, lineHeight: 1.2 }}
    >
      Next: {says}
    </Button>
  );
});

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
