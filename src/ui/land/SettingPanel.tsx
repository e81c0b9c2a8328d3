"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { parseOhms } from "@/core";
import { settingByOhms } from "@/core/wiring";
import { useJob } from "../job/JobContext";
import { PlainEntry } from "../parts/PlainEntry";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/measures";

/** Two voltages that are set inside: how it stands, seen on its dial or proved by the ohms before and after turning it. */
export function SettingPanel({ low, high, module = false }: { low: number; high: number; module?: boolean }) {
  const { job, add } = useJob("setInside");
  const now = job.setInside?.now ?? null;
  const volts = (setting: "low" | "high") => Math.round(setting === "low" ? low : high);
  const see = (setting: "low" | "high") => {
    // Turned after its ohms were read: those belong to how it stood then.
    const readAt = job.setInside?.readAt ?? (now && now !== setting ? now : undefined);
    add({
      kind: "set-inside",
      set: { now: setting, by: "seen", ...(readAt ? { readAt } : {}) },
    });
  };
  return (
    <Box sx={{ display: "grid", gap: 3, maxWidth: 760 }}>
      <Verdict
        weight={now ? "good" : module ? "again" : "stop"}
        word={now ? `Set for ${volts(now)} V` : "Nobody has said how it is set"}
      />
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap" }}>
        {(["low", "high"] as const).map((setting) => (
          <Button
            key={setting}
            variant={now === setting ? "contained" : "outlined"}
            aria-pressed={now === setting}
            sx={{ minHeight: TOUCH }}
            onClick={() => see(setting)}
          >
            {module ? "Its jumper stands at" : "Its dial or plug stands at"} {volts(setting)} V
          </Button>
        ))}
      </Box>
      {module ? null : <ByOhms />}
    </Box>
  );
}

/** Where the dial bears no figures: one reading, the dial turned over, the same reading again. */
function ByOhms() {
  const { add } = useJob();
  const [before, setBefore] = useState("");
  const [after, setAfter] = useState("");
  const [says, setSays] = useState<string | null>(null);
  const prove = () => {
    const [one, other] = [parseOhms(before), parseOhms(after)];
    const [first, second] = [one, other].map((read) =>
      read.ok && "ohms" in read.shown ? read.shown.ohms : null,
    );
    if (first === null || first === undefined || second === null || second === undefined) {
      setSays("Write both readings in ohms, such as 0.7 and 2.8.");
      return;
    }
    const proved = settingByOhms(first, second);
    if (!proved) {
      setSays("The two are not about four times apart: it was not turned, or the clips sat on other leads.");
      return;
    }
    setSays(null);
    add({ kind: "set-inside", set: { now: proved.now, by: "ohms", readAt: proved.before } });
  };
  return (
    <Box
      component="form"
      aria-label="Prove the setting by ohms"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        prove();
      }}
      sx={{ display: "grid", gap: 2 }}
    >
      <Typography>
        A dial without figures: read two leads of the main, turn it over, read them again. The high setting
        reads four times the low.
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr auto", gap: 2, alignItems: "end" }}>
        <PlainEntry label="Ohms as it stood" value={before} onChange={setBefore} numeric />
        <PlainEntry label="Ohms after turning" value={after} onChange={setAfter} numeric />
        <Button type="submit" variant="outlined" sx={{ minHeight: TOUCH }}>
          Tell
        </Button>
      </Box>
      {says ? <Typography role="status">{says}</Typography> : null}
    </Box>
  );
}
