"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import NextLink from "next/link";
import { useState } from "react";
import type { Diagnosis } from "@/core/proving";
import { keepDeviceName, MOST_NAME_LETTERS, useDeviceName } from "../job/deviceName";
import { useJob } from "../job/JobContext";
import { useSealOnSigning } from "../job/useSealOnSigning";
import { PlainEntry } from "../parts/PlainEntry";
import { useLocalDay } from "../parts/useLocalDay";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/measures";

const LEAST_REASON = 3;

/** The proof signed with a name; what was not seen is listed, a stop needs a reason. */
export function SignOff({ status, unseen }: { status: Diagnosis["status"]; unseen: readonly string[] }) {
  const { id, job, add } = useJob("proof");
  const sealAfter = useSealOnSigning();
  const known = useDeviceName();
  const [name, setName] = useState(known);
  const [reason, setReason] = useState("");
  const { signed, seen } = job.proof;
  const day = useLocalDay(signed?.at ?? "");
  if (signed)
    return (
      <Box component="section" aria-label="Signed off">
        <Verdict
          weight={signed.override ? "again" : "good"}
          word={`Signed off by ${signed.by || "nobody named"}, ${day}`}
        />
        {signed.override ? (
          <Typography sx={{ mt: 1 }}>Against the verdict, because: {signed.override}</Typography>
        ) : null}
        {signed.unseen.length > 0 ? (
          <Typography sx={{ mt: 1, color: "text.secondary" }}>Not seen: {signed.unseen.join(" ")}</Typography>
        ) : null}
        <Box sx={{ display: "flex", gap: 3, mt: 2, flexWrap: "wrap" }}>
          <Button
            component={NextLink}
            href={`/jobs/${id}/record`}
            variant="contained"
            sx={{ minHeight: TOUCH }}
          >
            To the label
          </Button>
          <Button
            color="inherit"
            sx={{ minHeight: TOUCH }}
            onClick={() => add({ kind: "proof-signed", signed: false, unseen: [] })}
          >
            Take the signature back
          </Button>
        </Box>
      </Box>
    );
  if (seen.length === 0) return null;
  const good = status === "good";
  const who = known || name.trim();
  const may = who !== "" && (good || reason.trim().length >= LEAST_REASON);
  const sign = () => {
    if (known === "") keepDeviceName(who);
    sealAfter(
      add({
        kind: "proof-signed",
        signed: true,
        unseen: unseen.map((line) => line.slice(0, 200)),
        ...(good ? {} : { override: reason.trim() }),
      }),
    );
  };
  return (
    <Box component="section" aria-label="Sign off">
      <Typography variant="h3">Sign off</Typography>
      {good ? null : (
        <Typography sx={{ mt: 1 }}>
          {status === "stop"
            ? "A stop stands: it is signed only with the reason for going on."
            : "Not proved good yet: it is signed only with the reason."}
          {unseen.length > 0 ? ` Not seen: ${unseen.join(" ")}` : ""}
        </Typography>
      )}
      <Box sx={{ display: "grid", gap: 2, mt: 2, maxWidth: 520 }}>
        {known === "" ? (
          <PlainEntry label="Who signs" value={name} onChange={setName} maxLength={MOST_NAME_LETTERS} />
        ) : null}
        {good ? null : (
          <PlainEntry label="Reason for going on" value={reason} onChange={setReason} maxLength={200} />
        )}
        <Button
          variant={good ? "contained" : "outlined"}
          disabled={!may}
          onClick={sign}
          sx={{ minHeight: TOUCH, justifySelf: "start" }}
        >
          Sign off{who ? ` as ${who}` : ""}
        </Button>
      </Box>
    </Box>
  );
}

/** What a proof has not seen yet, in words. */
export function unseenOf({ status, findings, nextCheck }: Diagnosis): string[] {
  return [
    ...findings.filter(({ code }) => code === "call-not-seen").map(({ says }) => says),
    ...(nextCheck && status !== "good" ? [nextCheck.because] : []),
  ];
}
