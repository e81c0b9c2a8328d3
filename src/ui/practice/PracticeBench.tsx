"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useCallback, useEffect, useMemo, useState } from "react";
import { formatOhms, leadNames } from "@/core";
import { type Grade, noted, practiceTask } from "@/core/practice";
import { LeadTag } from "../parts/LeadTag";
import { MONO, TOUCH } from "../theme/theme";
import { NamingSheet } from "./NamingSheet";
import type { PracticeWork } from "./practiceState";
import { type ProbePlaces, usePracticeMeter } from "./usePracticeMeter";

interface Props {
  readonly work: PracticeWork;
  readonly person: string;
  readonly onWork: (work: PracticeWork) => void;
  readonly onGrade: (grade: Grade) => void;
  readonly onGiveUp: () => void;
}

const KEYS = "abcdefghijkl";

/** The practice bench: leads to touch with two probes, the meter's display, the notes, and the naming. */
export function PracticeBench({ work, person, onWork, onGrade, onGiveUp }: Props) {
  const task = useMemo(() => practiceTask(work.seed, work.wish), [work.seed, work.wish]);
  const { leads } = task.motor;
  const names = useMemo(() => leadNames(leads), [leads]);
  const short = (id: string) => (id === "shell" ? "shell" : (names.get(id)?.short ?? id));
  const [places, setPlaces] = useState<ProbePlaces & { readonly older: "first" | "second" }>({
    first: null,
    second: null,
    older: "first",
  });
  const { shown, steady } = usePracticeMeter(task, work.seed, places);

  const touch = useCallback((place: string) => {
    setPlaces((now) => {
      if (now.first === place) return { ...now, first: null, older: "first" };
      if (now.second === place) return { ...now, second: null, older: "second" };
      const probe = now.first === null ? "first" : now.second === null ? "second" : now.older;
      const other = probe === "first" ? "second" : "first";
      return { ...now, [probe]: place, older: other };
    });
  }, []);

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

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const { target } = event;
      const busy =
        target instanceof HTMLElement &&
        ["INPUT", "SELECT", "TEXTAREA", "BUTTON", "A"].includes(target.tagName);
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const lead = leads[KEYS.indexOf(event.key.toLowerCase())];
      if (
        busy &&
        (event.key === "Enter" || target instanceof HTMLInputElement || target instanceof HTMLSelectElement)
      )
        return;
      if (lead && event.key.length === 1) touch(lead.id);
      else if (event.key.toLowerCase() === "s") touch("shell");
      else if (event.key === "Enter") note();
      else return;
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [leads, touch, note]);

  const on = (place: string) => (places.first === place ? 1 : places.second === place ? 2 : null);
  const touching = places.first !== null && places.second !== null;
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
                letter={KEYS[i] ?? ""}
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
        <Box
          component="section"
          aria-label="Meter"
          sx={{
            mt: 4,
            border: "1.5px solid",
            borderColor: "text.primary",
            p: 3,
            display: "flex",
            alignItems: "center",
            flexWrap: "wrap",
            gap: 4,
          }}
        >
          <Box
            role="status"
            aria-label="Display"
            aria-live="off"
            sx={{ fontFamily: MONO, fontSize: "2.5rem", fontWeight: 700, minWidth: 190 }}
          >
            {!touching || !shown
              ? "– – –"
              : "open" in shown
                ? "OL"
                : formatOhms(shown.ohms, task.meter.resolutionOhms)}
          </Box>
          <Typography
            sx={{ minWidth: 80, fontWeight: 600, color: steady ? "success.main" : "text.secondary" }}
          >
            {!touching ? "probes open" : steady ? "steady" : "settling"}
          </Typography>
          <Button
            variant="contained"
            disabled={!steady}
            onClick={note}
            sx={{ minHeight: 56, px: 6, ml: "auto" }}
          >
            Note it
          </Button>
        </Box>
        <Typography sx={{ mt: 1, fontSize: "0.875rem", color: "text.secondary" }}>
          Keys: a to {KEYS[leads.length - 1]} for the leads, s for the shell, Enter notes the value. A probe
          on a lead is lifted by touching it again.
        </Typography>
        <Notes work={work} short={short} resolutionOhms={task.meter.resolutionOhms} onWork={onWork} />
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

function PlaceButton({
  probe,
  letter,
  onTouch,
  children,
}: {
  probe: 1 | 2 | null;
  letter: string;
  onTouch: () => void;
  children: React.ReactNode;
}) {
  return (
    <Button
      color="inherit"
      aria-pressed={probe !== null}
      onClick={onTouch}
      sx={{
        minHeight: 56,
        justifyContent: "flex-start",
        gap: 2,
        px: 3,
        borderWidth: probe ? 3 : 1.5,
        borderColor: probe ? "primary.main" : "divider",
      }}
    >
      <Box
        component="span"
        aria-hidden="true"
        sx={{ fontFamily: MONO, color: "text.secondary", fontSize: "0.875rem" }}
      >
        {letter}
      </Box>
      {children}
      {probe ? (
        <Box
          component="span"
          sx={{
            ml: "auto",
            color: "primary.main",
            fontWeight: 700,
            fontSize: "0.875rem",
            whiteSpace: "nowrap",
          }}
        >
          probe {probe}
        </Box>
      ) : null}
    </Button>
  );
}

function Notes({
  work,
  short,
  resolutionOhms,
  onWork,
}: {
  work: PracticeWork;
  short: (id: string) => string;
  resolutionOhms: number;
  onWork: (work: PracticeWork) => void;
}) {
  const lines = [
    ...work.frame.map((reading, i) => ({
      key: `shell ${i}`,
      text: `${short(reading.lead)} to the shell`,
      value: noted(reading, resolutionOhms),
      drop: () => onWork({ ...work, frame: work.frame.filter((_, k) => k !== i) }),
    })),
    ...work.readings.map((reading, i) => ({
      key: `pair ${i}`,
      text: `${short(reading.between[0])} – ${short(reading.between[1])}`,
      value: noted(reading, resolutionOhms),
      drop: () => onWork({ ...work, readings: work.readings.filter((_, k) => k !== i) }),
    })),
  ];
  return (
    <Box component="section" aria-label="Notes" sx={{ mt: 5 }}>
      <Typography variant="h2">Notes</Typography>
      {lines.length === 0 ? (
        <Typography sx={{ color: "text.secondary", mt: 1 }}>
          Nothing noted yet. The first reading that counts is one lead to the shell.
        </Typography>
      ) : null}
      <Box component="ol" sx={{ listStyle: "none", m: 0, mt: 1, p: 0 }}>
        {lines.map((line) => (
          <Box
            component="li"
            key={line.key}
            sx={{
              display: "grid",
              gridTemplateColumns: "1fr auto auto",
              alignItems: "center",
              gap: 4,
              borderBottom: "1px solid",
              borderColor: "divider",
              fontFamily: MONO,
            }}
          >
            <span>{line.text}</span>
            <b>{line.value}</b>
            <Button
              size="small"
              color="inherit"
              variant="text"
              onClick={line.drop}
              aria-label={`Strike the note ${line.text}, ${line.value}`}
              sx={{ minHeight: TOUCH }}
            >
              Strike
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
