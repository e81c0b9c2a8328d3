"use client";

import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { call } from "@/contract/call";
import { health } from "@/contract/routes/about";
import { Verdict } from "../parts/Verdict";

const HOUR_MS = 3_600_000;
/** A backup older than this is worth a look: one a night is meant. */
const OLD_HOURS = 48;

/** When the server's last backup was made; nothing while that is not known. */
export function BackupAge() {
  const [last, setLast] = useState<string | null | undefined>(undefined);
  useEffect(() => {
    let shown = true;
    void call(health, {}).then((called) => {
      if (shown && called.ok) setLast(called.value.lastBackup);
    });
    return () => {
      shown = false;
    };
  }, []);
  if (last === undefined) return null;
  const hours = last === null ? null : Math.max(0, (Date.now() - Date.parse(last)) / HOUR_MS);
  const fresh = hours !== null && hours <= OLD_HOURS;
  return (
    <Typography component="div" sx={{ mt: 6 }}>
      <Verdict weight={fresh ? "good" : "again"} word={`The server’s last backup: ${ageWords(hours)}`} />
      {fresh ? null : (
        <span>
          {" "}
          Whoever runs the server makes one with <code>npm run backup</code>, or every night with BACKUP_AT.
        </span>
      )}
    </Typography>
  );
}

function ageWords(hours: number | null): string {
  if (hours === null) return "none yet";
  if (hours < 1) return "within the hour";
  if (hours < OLD_HOURS) return `${Math.round(hours)} hours ago`;
  return `${Math.round(hours / 24)} days ago`;
}
