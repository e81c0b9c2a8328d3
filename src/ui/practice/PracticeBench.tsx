"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useCallback, useMemo } from "react";
import { leadNames } from "@/core";
import { type Grade, practiceTask } from "@/core/practice";
import { LeadTag } from "../parts/LeadTag";
import { MeterDisplay } from "./MeterDisplay";
import { NamingSheet } from "./NamingSheet";
import { PlaceButton } from "./PlaceButton";
import { PracticeNotes } from "./PracticeNotes";
import type { PracticeWork } from "./practiceState";
import { usePracticeMeter } from "./usePracticeMeter";
import { LEAD_KEYS, useBenchKeys, usePracticeProbes } from "./usePracticeProbes";

interface Props {
  readonly work: PracticeWork;
  readonly person: string;
  readonly onWork: (work: PracticeWork) => void;
  readonly onGrade: (grade: Grade) => void;
  readonly onGiveUp: () => void;
}

/** The practice bench: leads to touch with two probes, the meter's display, the notes, and the naming. */
export function PracticeBench({ work, person, onWork, onGrade, onGiveUp }: Props) {
  const task = useMemo(() => practiceTask(work.seed, work.wish), [work.seed, work.wish]);
  const { leads } = task.motor;
  const names = useMemo(() => leadNames(leads), [leads]);
  const short = (id: string) => (id === "shell" ? "shell" : (names.get(id)?.short ?? id));
  const { places, touch, on } = usePracticeProbes();
  const { shown, steady } = usePracticeMeter(task, work.seed, places);

  const note = useCallback(() => {
    const { first, second } = places;
    if (!steady || first === null || second === null) return;
    if (first === "shell" || second === "shell") {
      const lead = first === "shell" ? second : first;
      onWork({ ...work, frame: [...work.frame, { lead, ...steady }] });
      return;
    }
    onWork({ ...work, readings: [...work.readings, { between: [first, second], ...steady }] });
  }, [places, steady, work, onWork]);

  useBenchKeys(leads, touch, note);

  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,11fr) minmax(0,10fr)" },
        gap: { xs: 6, md: 10 },
      }}
    >
      <Box>
        <Box
          component="section"
          aria-label="Leads"
          sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3 }}
        >
          <Typography variant="h2">Put the two probes on</Typography>
          <Box
            sx={{
              display: "grid",
              gridTemplateColumns: "repeat(auto-fill, minmax(168px, 1fr))",
              gap: 2,
              mt: 3,
            }}
          >
            {leads.map((lead, i) => (
              <PlaceButton
                key={lead.id}
                probe={on(lead.id)}
                letter={LEAD_KEYS[i] ?? ""}
                onTouch={() => touch(lead.id)}
              >
                <LeadTag lead={lead} name={short(lead.id)} />
              </PlaceButton>
            ))}
            <PlaceButton probe={on("shell")} letter="s" onTouch={() => touch("shell")}>
              shell, bare metal
            </PlaceButton>
          </Box>
        </Box>
        <MeterDisplay
          touching={places.first !== null && places.second !== null}
          shown={shown}
          steady={steady !== null}
          resolutionOhms={task.meter.resolutionOhms}
          onNote={note}
        />
        <Typography sx={{ mt: 1, fontSize: "0.875rem", color: "text.secondary" }}>
          Keys: a to {LEAD_KEYS[leads.length - 1]} for the leads, s for the shell, Enter notes the value. A
          probe on a lead is lifted by touching it again.
        </Typography>
        <PracticeNotes work={work} short={short} resolutionOhms={task.meter.resolutionOhms} onWork={onWork} />
      </Box>
      <NamingSheet
        work={work}
        task={task}
        person={person}
        onWork={onWork}
        onGrade={onGrade}
        onGiveUp={onGiveUp}
      />
    </Box>
  );
}
