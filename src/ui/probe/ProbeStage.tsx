"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { type ReactNode, useState } from "react";
import { v7 as uuid } from "uuid";
import { type Insulation, LEAD_LIMITS } from "@/core";
import { useFirstAnswerComes, useJob } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { useAtFirst } from "../parts/useAtFirst";
import { useWakeLock } from "../parts/useWakeLock";
import { ConditionsEntry } from "../reference/ConditionsEntry";
import { InsulationPanel } from "../reference/InsulationPanel";
import { ReferencePanel } from "../reference/ReferencePanel";
import { TOUCH } from "../theme/measures";
import { Say } from "../words/UsageProvider";
import { AboutEntry } from "./AboutEntry";
import { EveryReading } from "./EveryReading";
import { LeadsEntry } from "./LeadsEntry";
import { MetBefore } from "./MetBefore";
import { MeterEntry } from "./MeterEntry";
import { PairTable } from "./PairTable";
import { ReadingEntry } from "./ReadingEntry";
import { SignalChoice } from "./SignalChoice";
import type { Target } from "./target";
import { VerdictPanel } from "./VerdictPanel";
import { WindingDrawing } from "./WindingDrawing";

/** The leads of the motor to try it on: a fan of two speeds, made up. */
const TRIAL_LEADS: readonly Insulation[] = [
  { colour: "white" },
  { colour: "black" },
  { colour: "red" },
  { colour: "brown" },
];

/*
 * Parts that take nothing from the stage, made once: a reading draws those anew that it touches, and not the whole stage.
 */
const LEADS = <LeadsEntry />;
const BELOW_THE_TABLE = <UndoButtons />;
const EVERY_READING = <EveryReading />;
const THE_REST = (
  <>
    <WindingDrawing />
    <MetBefore />
    <Box>
      <AboutEntry />
      <MeterEntry />
      <ConditionsEntry />
      <ReferencePanel />
      <InsulationPanel />
      <SignalChoice />
    </Box>
  </>
);

/** Probe: touch two leads, type what the meter shows, see what it means. */
export function ProbeStage() {
  const { job } = useJob("leads");
  const [chosen, setChosen] = useState<Target | null>(null);
  const [trial, setTrial] = useState(false);
  useWakeLock();
  const awaits = useAtFirst(useFirstAnswerComes());
  const enough = job.leads.length >= LEAD_LIMITS.fewest;
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,11fr) minmax(0,10fr)" },
        columnGap: 10,
        rowGap: 6,
        alignItems: "start",
        // The table stands before the verdict in the page's text and under it on a phone: shown before all of the text is
        // here, it would be pushed off the screen when the verdict comes.
        "&:not(:has(> [data-whole])) [data-place='3']": { display: { xs: "none", md: "grid" } },
      }}
    >
      <Column>
        <Part place={1}>
          {LEADS}
          {enough ? <ReadingEntry chosen={chosen} onChoose={setChosen} simulated={trial} /> : null}
        </Part>
        <Part place={3} away={awaits ? "phone" : undefined}>
          {enough ? <PairTable chosen={chosen} onChoose={setChosen} /> : null}
          {enough ? EVERY_READING : null}
          {BELOW_THE_TABLE}
        </Part>
      </Column>
      <Column>
        <Part place={2}>
          {enough ? <VerdictPanel onChoose={setChosen} /> : <HowItGoes onTry={() => setTrial(true)} />}
        </Part>
        {enough ? (
          <Part place={4} away={awaits ? "everywhere" : undefined}>
            {THE_REST}
          </Part>
        ) : null}
      </Column>
      <span hidden data-whole />
    </Box>
  );
}

/** What is to be done, before there are leads; and a made-up motor for who has none at hand. */
function HowItGoes({ onTry }: { onTry: () => void }) {
  const { add } = useJob();
  const tryIt = () => {
    onTry();
    for (const insulation of TRIAL_LEADS) add({ kind: "lead", lead: { id: uuid(), ...insulation } });
  };
  return (
    <Box sx={{ color: "text.secondary" }}>
      <Typography variant="h2" sx={{ color: "text.primary" }}>
        How it goes
      </Typography>
      <Typography sx={{ mt: 2, maxWidth: 460 }}>
        Power off, locked and proved dead; capacitors discharged; the motor unplugged from everything.{" "}
        <Say>Enter its leads by color, the green frame lead left out.</Say> Then touch the two leads shown,
        type what the meter shows, press Enter.
      </Typography>
      <Button color="inherit" onClick={tryIt} sx={{ mt: 3, minHeight: TOUCH }}>
        No motor at hand: try a made-up one with a simulated meter
      </Button>
    </Box>
  );
}

/** On a wide screen one of two columns; on a phone its parts stand in the page's one column, each in its place. */
function Column({ children }: { children: ReactNode }) {
  return (
    <Box sx={{ display: { xs: "contents", md: "grid" }, gridTemplateColumns: "minmax(0,1fr)", gap: 6 }}>
      {children}
    </Box>
  );
}

/** Some of what belongs together: the pair and its field, the verdict, the table, the rest. */
function Part({
  place,
  away,
  children,
}: {
  place: number;
  /** Where it is not to be seen yet. */
  away?: "phone" | "everywhere" | undefined;
  children: ReactNode;
}) {
  return (
    <Box
      data-place={place}
      sx={{
        order: { xs: place, md: 0 },
        display: { xs: away ? "none" : "grid", md: away === "everywhere" ? "none" : "grid" },
        gridTemplateColumns: "minmax(0,1fr)",
        gap: 6,
        alignContent: "start",
        minWidth: 0,
      }}
    >
      {children}
    </Box>
  );
}
