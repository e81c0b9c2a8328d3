"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { missingOf, PLATE_FIELDS, type PlateField, readPlate } from "@/core";
import { useJob } from "../job/JobContext";
import { UndoButtons } from "../job/JobFrame";
import { Fold } from "../parts/Fold";
import { Mark } from "../parts/Verdict";
import { PlaceEntry } from "./PlaceEntry";
import { PlateFieldEntry } from "./PlateFieldEntry";
import { RotationHelper } from "./RotationHelper";
import { WholePlateEntry } from "./WholePlateEntry";

const PARTS: readonly { readonly part: PlateField["part"]; readonly title: string }[] = [
  { part: "drive", title: "Drive" },
  { part: "supply", title: "Supply" },
  { part: "capacitor", title: "Capacitor" },
  { part: "body", title: "Body" },
  { part: "use", title: "Use" },
];

/** Plate: what can still be read of the old motor and the new, side by side, and what is missing. */
export function PlateStage() {
  const { job } = useJob();
  const [shown, setShown] = useState<"old" | "new">("old");
  const readings = { old: readPlate(job.plates.old), new: readPlate(job.plates.new) };
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,8fr) minmax(0,4fr)" },
        gap: { xs: 6, md: 10 },
      }}
    >
      <Box component="section" aria-label="Plates">
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
              onClick={() => setShown(motor)}
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
        <WholePlateEntry key={shown} motor={shown} />
        <Box
          sx={{
            display: { xs: "none", md: "grid" },
            gridTemplateColumns: "150px 1fr 1fr",
            gap: 4,
            borderBottom: "1.5px solid",
            pb: 1,
          }}
        >
          <span />
          <Typography variant="h2">Old motor</Typography>
          <Typography variant="h2">New motor{job.chosen ? `: ${job.chosen.name}` : ""}</Typography>
        </Box>
        {PARTS.map(({ part, title }) => (
          <Box key={part} component="section" aria-label={title}>
            <Typography variant="h3" sx={{ mt: 5, mb: 1, fontSize: "1rem", fontWeight: 700 }}>
              {title}
            </Typography>
            {PLATE_FIELDS.filter((field) => field.part === part).map((field) => (
              <Box
                key={field.id}
                sx={{
                  display: "grid",
                  gridTemplateColumns: { xs: "minmax(0,1fr)", md: "150px 1fr 1fr" },
                  columnGap: 4,
                  py: 1,
                  borderBottom: "1px solid",
                  borderColor: "divider",
                }}
              >
                <Box component="span" sx={{ display: { xs: "none", md: "block" }, pt: 3, fontWeight: 600 }}>
                  {field.title}
                </Box>
                {(["old", "new"] as const).map((motor) => (
                  <Box key={motor} sx={{ display: { xs: shown === motor ? "block" : "none", md: "block" } }}>
                    <PlateFieldEntry field={field} motor={motor} reading={readings[motor]} />
                  </Box>
                ))}
              </Box>
            ))}
          </Box>
        ))}
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
          maxHeight: { md: "calc(100vh - 32px)" },
          overflowY: { md: "auto" },
        }}
      >
        <Doubts />
        <Understood />
        <Missing />
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
  const { job } = useJob();
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
  const { job } = useJob();
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

/** What is missing and matters, with how to get it. */
function Missing() {
  const { job } = useJob();
  const missing = missingOf(readPlate(job.plates.old).plate);
  const decides = missing.filter(({ matters }) => matters === "decides");
  const ranks = missing.filter(({ matters }) => matters === "ranks");
  if (missing.length === 0) return null;
  return (
    <Box component="section" aria-label="Missing">
      <Typography variant="h2">Missing, and it matters</Typography>
      {decides.length > 0 ? (
        <Box component="ul" sx={{ m: 0, mt: 2, pl: 5 }}>
          {decides.map(({ field, title, howToGet }) => (
            <li key={field}>
              <b>{title}</b>: {howToGet}
            </li>
          ))}
        </Box>
      ) : (
        <Typography sx={{ mt: 2, color: "text.secondary" }}>Nothing that decides is missing.</Typography>
      )}
      {ranks.length > 0 ? (
        <Typography sx={{ mt: 2, color: "text.secondary" }}>
          Would help to rank: {ranks.map(({ title }) => title.toLowerCase()).join(", ")}.
        </Typography>
      ) : null}
    </Box>
  );
}
