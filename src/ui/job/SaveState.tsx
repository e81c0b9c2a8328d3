"use client";

import Box from "@mui/material/Box";
import { Mark } from "../parts/Verdict";
import { useJob } from "./JobContext";

/** Whether what was entered is safe on the server, in a few words. */
export function SaveState() {
  const { saving } = useJob();
  const words = {
    saved: "Saved",
    sending: "Saving …",
    away:
      saving.state === "away" && saving.waiting > 0
        ? `Server away · ${saving.waiting} kept here`
        : "Server away",
    refused: "Not saved",
  }[saving.state];
  const weight = saving.state === "saved" ? "good" : saving.state === "sending" ? "open" : "again";
  return (
    <Box
      role="status"
      aria-live="polite"
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1.5,
        fontSize: "0.875rem",
        whiteSpace: "nowrap",
        color: "text.secondary",
      }}
    >
      <Mark weight={weight} size={15} />
      {words}
    </Box>
  );
}

/** The same at length, where something needs to be known about it. */
export function SaveNotice() {
  const { saving, unreadable } = useJob();
  const says =
    saving.state === "away"
      ? "The server does not answer. Go on: every entry is kept in this browser and sent when the server is back."
      : saving.state === "refused"
        ? `Not stored: ${saving.says}.`
        : unreadable > 0
          ? `${unreadable} ${unreadable === 1 ? "entry" : "entries"} of this job cannot be read by this version. Nothing is lost: they are kept as they are, and left out here.`
          : null;
  if (says === null) return null;
  return (
    <Box
      role="alert"
      className="no-print"
      sx={{
        px: { xs: 3, md: 6 },
        py: 2,
        borderBottom: "1.5px solid",
        borderColor: "warning.main",
        color: "warning.main",
      }}
    >
      {says}
    </Box>
  );
}
