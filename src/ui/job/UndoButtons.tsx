"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useHotkeys } from "react-hotkeys-hook";
import { useJob } from "./JobContext";

/** A field that edits text undoes its own; only the place for readings, while it is empty, leaves the key to the job. */
function editsText(target: EventTarget | null): boolean {
  if (target instanceof HTMLInputElement) return target.value !== "" || target.dataset.undo !== "job";
  return target instanceof HTMLTextAreaElement || (target instanceof HTMLElement && target.isContentEditable);
}

/** Undo and redo of the last entry, by button and by the usual keys. */
export function UndoButtons() {
  const { job, add } = useJob("undo", "redo");
  const { undo, redo } = job;
  useHotkeys(
    ["mod+z", "mod+shift+z"],
    (event) => {
      const target = event.shiftKey ? redo : undo;
      if (!target) return;
      event.preventDefault();
      add({ kind: "undone", fact: target.id });
    },
    { enableOnFormTags: true, ignoreEventWhen: (event) => editsText(event.target) },
    [undo, redo, add],
  );
  return (
    <Box className="no-print" sx={{ display: "flex", gap: 2 }}>
      <Button
        size="small"
        color="inherit"
        disabled={!undo}
        onClick={() => undo && add({ kind: "undone", fact: undo.id })}
      >
        Undo
      </Button>
      <Button
        size="small"
        color="inherit"
        disabled={!redo}
        onClick={() => redo && add({ kind: "undone", fact: redo.id })}
      >
        Redo
      </Button>
    </Box>
  );
}
