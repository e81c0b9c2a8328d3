"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { Notice } from "../parts/Notice";
import { Trouble } from "../parts/Trouble";
import { RING, TOUCH } from "../theme/measures";
import { ImportMapping } from "./ImportMapping";
import { ImportReady } from "./ImportReady";
import { useImport } from "./useImport";

/** Import of a CSV: choose the file, say which column is what, see what is wrong, then all of it at once. */
export function ImportPanel({ onDone, onClose }: { onDone: () => void; onClose: () => void }) {
  const { state, choose, map, check, bring, askAgain, cancel } = useImport(onDone);
  return (
    <Box
      component="section"
      aria-label="Import CSV"
      sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3, pb: 4, mb: 5 }}
    >
      <Typography variant="h2">Import CSV</Typography>
      {state.at === "file" ? <FileChoice says={state.says} onChoose={choose} /> : null}
      {state.at === "working" ? (
        <Box role="status" sx={{ mt: 2 }}>
          <Typography>
            {state.what}
            {state.share === null ? " …" : `: ${Math.round(100 * state.share)} %`}
          </Typography>
          <LinearProgress
            aria-label={state.what}
            variant={state.share === null ? "indeterminate" : "determinate"}
            value={100 * (state.share ?? 0)}
            sx={{ mt: 1, maxWidth: 480 }}
          />
          <Button color="inherit" onClick={cancel} sx={{ mt: 2, minHeight: TOUCH }}>
            Cancel
          </Button>
        </Box>
      ) : null}
      {state.at === "finishing" ? (
        <Typography role="status" sx={{ mt: 2 }}>
          Putting them in, all at once …
        </Typography>
      ) : null}
      {state.at === "unanswered" ? (
        <Notice sx={{ mt: 2 }}>
          <Typography sx={{ fontWeight: 600 }}>
            The server does not answer. The rows are all with it; whether they went in is not known yet.
          </Typography>
          <Button
            variant="contained"
            onClick={() => askAgain(state.importId, state.rows)}
            sx={{ mt: 2, minHeight: TOUCH }}
          >
            Ask what became of it
          </Button>
        </Notice>
      ) : null}
      {state.at === "mapping" ? (
        <ImportMapping state={state} onMap={map} onCheck={() => check(state.mapping)} />
      ) : null}
      {state.at === "ready" ? <ImportReady state={state} onImport={() => bring(state.items)} /> : null}
      {state.at === "done" ? (
        <Typography role="status" sx={{ mt: 2 }}>
          {state.added} added, {state.changed} changed by their part code.
        </Typography>
      ) : null}
      {state.at === "working" || state.at === "finishing" ? null : (
        <Button color="inherit" onClick={onClose} sx={{ mt: 3, ml: 2, minHeight: TOUCH }}>
          Close
        </Button>
      )}
    </Box>
  );
}

function FileChoice({ says, onChoose }: { says: string | null; onChoose: (file: File | undefined) => void }) {
  return (
    <>
      <Typography sx={{ mt: 1, color: "text.secondary" }}>
        A table with headings: name, count, power, speed, volts, or a capacitor’s label. Comma, semicolon or
        tab. You see it before anything is imported.
      </Typography>
      {says ? <Trouble sx={{ mt: 2 }}>{says}</Trouble> : null}
      <Box component="label" sx={{ display: "inline-block", mt: 2 }}>
        <Box
          component="span"
          sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary", mb: `${RING}px` }}
        >
          File
        </Box>
        <Box
          component="input"
          type="file"
          accept=".csv,.txt,.tsv,text/csv"
          onChange={(event) => onChoose(event.target.files?.[0])}
          sx={{ minHeight: TOUCH, font: "inherit", maxWidth: "100%" }}
        />
      </Box>
    </>
  );
}
