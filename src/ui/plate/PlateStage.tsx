"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { hasNewMotor, type PlateFieldId, readPlate } from "@/core";
import { useJob } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { Fold } from "../parts/Fold";
import { Mark } from "../parts/Verdict";
import { BesidePlate } from "./BesidePlate";
import { DrawnPlate } from "./DrawnPlate";
import { NextMissing } from "./NextMissing";
import { OldAndNew } from "./OldAndNew";
import { PlaceEntry } from "./PlaceEntry";
import { RotationHelper } from "./RotationHelper";
import { WholePlateEntry } from "./WholePlateEntry";

/** Plate: what can still be read of the motor, drawn as a plate; the new one's beside it where there is one. */
export function PlateStage() {
  const { job } = useJob("plates", "chosen", "place");
  const both = hasNewMotor(job);
  const [shown, setShown] = useState<"old" | "new">("old");
  const [lit, setLit] = useState<readonly PlateFieldId[]>([]);
  const show = (motor: "old" | "new") => {
    setShown(motor);
    setLit([]);
  };
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,8fr) minmax(0,4fr)" },
        gap: { xs: 6, md: 10 },
      }}
    >
      <Box component="section" aria-label="Plates" sx={{ minWidth: 0 }}>
        <Box
          role="group"
          aria-label="Which plate"
          sx={{ display: "flex", gap: 2, mb: 3, maxWidth: { md: 420 } }}
        >
          {(["old", "new"] as const).map((motor) => (
            <Button
              key={motor}
              color="inherit"
              aria-pressed={shown === motor}
              onClick={() => show(motor)}
              sx={{
                flex: 1,
                minHeight: 48,
                borderWidth: shown === motor ? 3 : 1.5,
                borderColor: shown === motor ? "primary.main" : "divider",
              }}
            >
              {motor === "old" ? "Old motor" : "New motor"}
            </Button>
          ))}
        </Box>
        <WholePlateEntry key={shown} motor={shown} onPlaced={setLit} />
        <DrawnPlate
          key={`plate ${shown}`}
          motor={shown}
          title={shown === "old" ? "Old motor" : `New motor${job.chosen ? `: ${job.chosen.name}` : ""}`}
          lit={lit}
        />
        <BesidePlate motor={shown} />
        {both ? <OldAndNew /> : null}
        <Box sx={{ mt: 4 }}>
          <UndoButtons />
        </Box>
      </Box>
      <Box
        sx={{
          display: "grid",
          gap: 6,
          alignContent: "start",
          alignSelf: "start",
          minWidth: 0,
          position: { md: "sticky" },
          top: 16,
          maxHeight: { md: "calc(100vh - 96px)" },
          overflowY: { md: "auto" },
          "@media print": { position: "static", maxHeight: "none", overflow: "visible" },
        }}
      >
        <Doubts />
        <NextMissing />
        <Understood />
        <Fold
          title="The turn the fan wants"
          open={false}
          summary={job.place.rotation ? "worked out" : "from blade or wheel"}
        >
          <RotationHelper />
        </Fold>
        <Fold title="The place it goes to" open={false} summary="supply, room, calls">
          <PlaceEntry />
        </Fold>
      </Box>
    </Box>
  );
}

/** What is odd about the figures of either plate, or cannot be: asked back, never changed in silence. */
function Doubts() {
  const { job } = useJob("plates");
  const doubts = (["old", "new"] as const).flatMap((motor) =>
    readPlate(job.plates[motor]).doubts.map((fault) => ({ motor, fault })),
  );
  if (doubts.length === 0) return null;
  return (
    <Box component="section" aria-label="To look at again" role="status">
      <Typography variant="h2" sx={{ mb: 1 }}>
        Look again
      </Typography>
      {doubts.map(({ motor, fault }) => (
        <Box key={`${motor} ${fault.says}`} sx={{ display: "flex", gap: 2, py: 0.5 }}>
          <Mark weight="again" />
          <Typography>
            {motor === "old" ? "Old" : "New"} motor: {fault.says}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

/** The old plate said in full, in inch and metric. */
function Understood() {
  const { job } = useJob("plates");
  const { echo } = readPlate(job.plates.old);
  return (
    <Box
      component="section"
      aria-label="Understood"
      sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3 }}
    >
      <Typography variant="h2">The old motor, in full</Typography>
      {echo.length === 0 ? (
        <Typography sx={{ mt: 2, color: "text.secondary" }}>
          Type what can still be read, as it stands on the plate: 1/3, 1075/3SPD, 208-230, 5 MFD 370. Leave
          the rest blank.
        </Typography>
      ) : (
        <Box component="ul" sx={{ listStyle: "none", m: 0, mt: 2, p: 0 }}>
          {echo.map(({ field, says }) => (
            <Box component="li" key={field} sx={{ py: 0.5 }}>
              {says}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
