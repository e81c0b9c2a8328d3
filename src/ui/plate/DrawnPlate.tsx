"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { PLATE_FIELDS, type PlateFieldId, readPlate } from "@/core";
import { useJob } from "../job/JobContext";
import { PlateCell } from "./PlateCell";
import { PLATE_ROWS } from "./plateLayout";

interface Props {
  readonly motor: "old" | "new";
  readonly title: string;
  /** The fields that the line typed last went to. */
  readonly lit: readonly PlateFieldId[];
}

/** A nameplate, riveted on: blank where nothing is known, typed into anywhere. */
export function DrawnPlate({ motor, title, lit }: Props) {
  const { job } = useJob("plates");
  const reading = readPlate(job.plates[motor]);
  return (
    <Box component="section" aria-label={title} sx={{ minWidth: 0 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {title}
      </Typography>
      <Box
        sx={{
          position: "relative",
          border: "2px solid",
          borderColor: "text.primary",
          borderRadius: "14px",
          bgcolor: "background.paper",
          px: 3,
          py: 3,
        }}
      >
        {RIVETS.map((corner) => (
          <Rivet key={`${corner.top ?? ""} ${corner.left ?? ""}`} corner={corner} />
        ))}
        <Box sx={{ border: "1px solid", borderColor: "divider", borderRadius: "6px" }}>
          {PLATE_ROWS.map((cells) => (
            <Box
              key={cells.map(({ field }) => field).join(" ")}
              sx={{
                display: "grid",
                gridTemplateColumns: "repeat(12, minmax(0,1fr))",
                borderBottom: "1px solid",
                borderColor: "divider",
                "&:last-of-type": { borderBottom: 0 },
                "& > *:not(:last-child)": {
                  borderRight: { sm: "1px solid" },
                  borderColor: { sm: "divider" },
                },
              }}
            >
              {cells.map(({ field: id, columns }) => {
                const field = PLATE_FIELDS.find((one) => one.id === id);
                return field ? (
                  <PlateCell
                    key={id}
                    field={field}
                    motor={motor}
                    reading={reading}
                    columns={columns}
                    lit={lit.includes(id)}
                  />
                ) : null;
              })}
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
}

type Corner = {
  readonly top?: number;
  readonly bottom?: number;
  readonly left?: number;
  readonly right?: number;
};

const RIVETS: readonly Corner[] = [
  { top: 3, left: 3 },
  { top: 3, right: 3 },
  { bottom: 3, left: 3 },
  { bottom: 3, right: 3 },
];

function Rivet({ corner }: { corner: Corner }) {
  return (
    <Box
      aria-hidden="true"
      sx={{
        position: "absolute",
        ...Object.fromEntries(Object.entries(corner).map(([side, pixels]) => [side, `${pixels}px`])),
        width: 8,
        height: 8,
        border: "1.5px solid",
        borderColor: "text.secondary",
        borderRadius: "50%",
      }}
    />
  );
}
