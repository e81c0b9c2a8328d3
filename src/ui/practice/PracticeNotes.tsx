import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { noted } from "@/core/practice";
import { MONO } from "../theme/faces";
import { TOUCH } from "../theme/measures";
import type { PracticeWork } from "./practiceState";

interface Props {
  readonly work: PracticeWork;
  readonly short: (id: string) => string;
  readonly resolutionOhms: number;
  readonly onWork: (work: PracticeWork) => void;
}

/** What was noted so far, each to be struck again. */
export function PracticeNotes({ work, short, resolutionOhms, onWork }: Props) {
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
