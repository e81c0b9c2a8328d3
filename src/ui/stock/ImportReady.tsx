"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { TOUCH } from "../theme/measures";
import { placed } from "./placed";
import type { ImportState } from "./useImport";

const MOST_FAULTS_SHOWN = 100;

/** The rows that can be imported, and what is wrong with the others. */
export function ImportReady({
  state: { items, faults },
  onImport,
}: {
  state: Extract<ImportState, { at: "ready" }>;
  onImport: () => void;
}) {
  const bad = new Set(faults.map(({ path }) => path[0])).size;
  return (
    <>
      <Typography role="status" sx={{ mt: 1 }}>
        {items.length} rows can be imported{bad > 0 ? `; ${bad} cannot and are left out` : ""}.
      </Typography>
      {faults.length > 0 ? (
        <Box
          component="ul"
          aria-label="Faults"
          sx={{ mt: 2, pl: 5, maxHeight: 260, overflowY: "auto" }}
          tabIndex={0}
        >
          {placed(faults.slice(0, MOST_FAULTS_SHOWN)).map(({ value: { path, says }, place }) => (
            <li key={place}>{says.startsWith("Line ") ? says : `Line ${path[0]}: ${says}`}</li>
          ))}
          {faults.length > MOST_FAULTS_SHOWN ? <li>{faults.length - MOST_FAULTS_SHOWN} more.</li> : null}
        </Box>
      ) : null}
      <Button
        variant="contained"
        disabled={items.length === 0}
        onClick={onImport}
        sx={{ mt: 3, minHeight: TOUCH }}
      >
        Import {items.length} rows
      </Button>
    </>
  );
}
