"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { memo } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { useSteady } from "../parts/useSteady";
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
  const onUndo = useSteady(() => undo && add({ kind: "undone", fact: undo.id }));
  const onRedo = useSteady(() => redo && add({ kind: "undone", fact: redo.id }));
  return <Buttons canUndo={undo !== null} onUndo={onUndo} canRedo={redo !== null} onRedo={onRedo} />;
}

interface ButtonsProps {
  readonly canUndo: boolean;
  readonly onUndo: () => void;
  readonly canRedo: boolean;
  readonly onRedo: () => void;
}

/** Each entry can be undone like the one before: drawn anew only with the first, and where there is none. */
const Buttons = memo(function Buttons({ canUndo, onUndo, canRedo, onRedo }: ButtonsProps) {
  return (
    <Box className="no-print" sx={{ display: "flex", gap: 2 }}>
      <Button size="small" color="inherit" disabled={!canUndo} onClick={onUndo}>
        Undo
      </Button>
      <Button size="small" color="inherit" disabled={!canRedo} onClick={onRedo}>
        Redo
      </Button>
    </Box>
  );
});
