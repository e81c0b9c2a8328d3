"use client";

import Box from "@mui/material/Box";
import { useRouter } from "next/navigation";
import { v7 as uuid } from "uuid";
import type { Stage } from "../job/stages";
import { useWords } from "../words/UsageProvider";

interface Way {
  readonly stage: Stage;
  readonly title: string;
  /** What is at hand when this is asked. */
  readonly from: string;
}

const FIRST: Way = {
  stage: "probe",
  title: "Start with a motor",
  from: "which lead is which, from its colors and ohms",
};

const OTHERS: readonly Way[] = [
  { stage: "cap", title: "Which capacitor", from: "from the old one’s label: 45/5 440" },
  { stage: "match", title: "What could replace it", from: "from its plate, in one line" },
  { stage: "prove", title: "It does not run right", from: "from what is heard, and the clamp" },
  { stage: "land", title: "Set the voltage", from: "115 or 230: links, plug or leads" },
];

/** The calls that come every day: each makes a job and opens it where it is answered. */
export function WaysIn() {
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "repeat(2, minmax(0,1fr))" },
        gap: 2,
        flex: "1 1 420px",
      }}
    >
      <Begin way={FIRST} first />
      {OTHERS.map((way) => (
        <Begin key={way.stage} way={way} />
      ))}
    </Box>
  );
}

/** A form with an address of its own: it works before the scripts come. */
function Begin({ way, first = false }: { way: Way; first?: boolean }) {
  const say = useWords();
  const router = useRouter();
  return (
    <Box
      component="form"
      action="/start"
      sx={first ? { gridColumn: "1 / -1" } : {}}
      onSubmit={(event) => {
        event.preventDefault();
        router.push(`/jobs/${uuid()}/${way.stage}`);
      }}
    >
      <input type="hidden" name="at" value={way.stage} />
      <Box
        component="button"
        type="submit"
        sx={{
          display: "block",
          width: "100%",
          minHeight: 64,
          px: 4,
          py: 2,
          textAlign: "left",
          font: "inherit",
          cursor: "pointer",
          borderRadius: 1,
          border: "1.5px solid",
          borderColor: first ? "primary.main" : "text.primary",
          bgcolor: first ? "primary.main" : "background.paper",
          color: first ? "primary.contrastText" : "text.primary",
        }}
      >
        <Box component="span" sx={{ display: "block", fontWeight: 700, fontSize: "1.125rem" }}>
          {way.title}
        </Box>
        <Box component="span" sx={{ display: "block", fontSize: "0.9375rem" }}>
          {say(way.from)}
        </Box>
      </Box>
    </Box>
  );
}
