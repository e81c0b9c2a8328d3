"use client";

import Box from "@mui/material/Box";
import { PLATE_FIELDS, readPlate } from "@/core";
import { useJob } from "../job/JobContext";
import { Fold } from "../parts/Fold";
import { PlateFieldEntry } from "./PlateFieldEntry";
import { BESIDE_PLATE } from "./plateLayout";

/** What no plate tells: measured and seen on the motor itself. */
export function BesidePlate({ motor }: { motor: "old" | "new" }) {
  const { job } = useJob("plates");
  const reading = readPlate(job.plates[motor]);
  const known = BESIDE_PLATE.filter((id) => job.plates[motor][id] !== undefined).length;
  return (
    <Box sx={{ mt: 4 }}>
      <Fold
        title="On the motor itself"
        summary={known > 0 ? `${known} known` : "shaft, body, mount, leads: by tape and eye"}
        open={known > 0}
      >
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(3, minmax(0,1fr))" },
            gap: 3,
            alignItems: "start",
          }}
        >
          {BESIDE_PLATE.map((id) => {
            const field = PLATE_FIELDS.find((one) => one.id === id);
            return field ? (
              <PlateFieldEntry key={`${motor} ${id}`} field={field} motor={motor} reading={reading} />
            ) : null;
          })}
        </Box>
      </Fold>
    </Box>
  );
}
