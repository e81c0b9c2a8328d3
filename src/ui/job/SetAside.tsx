"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import { useState } from "react";
import type { AsideFact } from "@/store/factRow";
import { mendingOf } from "@/store/mending";
import { useJob, useSaving } from "./JobContext";

/** Entries that were refused: what each was and why, to be put right, sent again, taken along or let go. */
export function SetAside() {
  const { id } = useJob();
  const { aside } = useSaving();
  const one = aside.length === 1;
  const file = `data:application/json,${encodeURIComponent(JSON.stringify(aside, null, 2))}`;
  return (
    <>
      <span>
        Not stored, and kept apart here: {one ? "an entry that was" : "entries that were"} refused. Nothing
        else waits for {one ? "it" : "them"}.
      </span>
      <Box component="ul" sx={{ m: 0, mt: 1, pl: 5 }}>
        {aside.map((entry) => (
          <Refused key={entry.id} entry={entry} />
        ))}
      </Box>
      <Button size="small" color="inherit" component="a" href={file} download={`set-aside-${id}.json`}>
        Keep as a file
      </Button>
    </>
  );
}

function Refused({ entry }: { entry: AsideFact }) {
  const { dropAside, sendAgain } = useSaving();
  const mending = mendingOf(entry.fact);
  return (
    <li>
      {entry.kind}: {entry.says} {mending.kind === "text" ? <Mend id={entry.id} text={mending.text} /> : null}
      {mending.kind === "send" ? (
        <Button size="small" color="inherit" onClick={() => void sendAgain(entry.id)}>
          Send again
        </Button>
      ) : null}
      <Button size="small" color="inherit" onClick={() => void dropAside(entry.id)}>
        Let it go
      </Button>
    </li>
  );
}

/** The text at fault, to be changed and entered again. */
function Mend({ id, text: before }: { id: string; text: string }) {
  const { mendAside } = useSaving();
  const [text, setText] = useState(before);
  return (
    <Box
      component="form"
      sx={{ display: "inline-flex", gap: 2, flexWrap: "wrap", maxWidth: "100%" }}
      onSubmit={(event) => {
        event.preventDefault();
        void mendAside(id, text);
      }}
    >
      <InputBase
        value={text}
        onChange={(event) => setText(event.target.value)}
        inputProps={{ "aria-label": "Put it right" }}
        sx={{ width: 320, maxWidth: "100%" }}
      />
      <Button size="small" type="submit" variant="outlined" color="inherit" disabled={text === before}>
        Enter it again
      </Button>
    </Box>
  );
}
