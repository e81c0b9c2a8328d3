"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { formatRotation } from "@/core";
import { type FanSeen, rotationFor } from "@/core/replacement";
import { useJob, useLatestJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";

/** Works the needed turn out from the blade's pitch or the blower's scroll, as one stands before it. */
export function RotationHelper() {
  const { job, add } = useJob("place");
  const latest = useLatestJob();
  const [kind, setKind] = useState<"propeller" | "blower">("propeller");
  const [side, setSide] = useState("");
  const [leads, setLeads] = useState("");
  const leadEnd = leads === "towards-me" || leads === "away-from-me" ? leads : null;
  const seen: FanSeen | null =
    side === "" || leadEnd === null
      ? null
      : kind === "propeller"
        ? { kind, nearEdge: side === "left" ? "left" : "right", leadEnd }
        : { kind, scrollOpens: side === "left" ? "counter-clockwise" : "clockwise", leadEnd };
  const answer = seen ? rotationFor(seen) : null;
  const { rotation } = job.place;
  return (
    <Box sx={{ display: "grid", gap: 3 }}>
      <Choice
        label="It is a"
        value={kind}
        onChange={(value) => {
          setKind(value === "blower" ? "blower" : "propeller");
          setSide("");
        }}
      >
        <option value="propeller">propeller fan</option>
        <option value="blower">blower wheel in a scroll</option>
      </Choice>
      {kind === "propeller" ? (
        <Choice
          label="Stand where the air is blown to, look at the topmost blade: its edge nearer to you is on the"
          value={side}
          onChange={setSide}
        >
          <option value="">not said yet</option>
          <option value="left">left</option>
          <option value="right">right</option>
        </Choice>
      ) : (
        <Choice
          label="Look into the side of the scroll: from its narrow place it widens toward the mouth"
          value={side}
          onChange={setSide}
        >
          <option value="">not said yet</option>
          <option value="right">clockwise</option>
          <option value="left">counter-clockwise</option>
        </Choice>
      )}
      <Choice label="From there, the motor’s leads come out on" value={leads} onChange={setLeads}>
        <option value="">not said yet</option>
        <option value="towards-me">your side</option>
        <option value="away-from-me">the far side</option>
      </Choice>
      {answer ? (
        <Box role="status">
          <Typography>{answer.says}</Typography>
          <Button
            variant="contained"
            onClick={() => add({ kind: "place", place: { ...latest().place, rotation: answer.rotation } })}
            sx={{ mt: 2, minHeight: 48 }}
          >
            Take this turn
          </Button>
        </Box>
      ) : null}
      {rotation ? (
        <Box sx={{ display: "flex", alignItems: "center", gap: 3, flexWrap: "wrap" }}>
          <Typography sx={{ flex: "1 1 200px" }}>Needed: {formatRotation(rotation)}.</Typography>
          <Button
            color="inherit"
            onClick={() => {
              const { rotation: _, ...rest } = latest().place;
              add({ kind: "place", place: rest });
            }}
          >
            Forget it
          </Button>
        </Box>
      ) : null}
    </Box>
  );
}
