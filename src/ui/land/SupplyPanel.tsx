"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useJob } from "../job/JobContext";
import { SupplySeen } from "../safe/SupplySeen";
import { TOUCH } from "../theme/measures";

/** The supply that the plan stands on, beside the one that was measured before it was locked off. */
export function SupplyPanel() {
  const { job, add } = useJob("compartment", "safe");
  const { compartment } = job;
  if (!compartment) return null;
  const { supply } = compartment;
  const measured = job.safe.supply?.between;
  return (
    <Box sx={{ display: "grid", gap: 3, maxWidth: 760 }}>
      <Typography>
        The plan stands on {Math.round(supply.volts)} V, {supply.hertz} Hz, as this equipment has it. Measured
        before it was locked off:
      </Typography>
      <SupplySeen />
      {measured !== undefined && Math.round(measured) !== Math.round(supply.volts) ? (
        <Button
          variant="outlined"
          sx={{ justifySelf: "start", minHeight: TOUCH }}
          onClick={() =>
            add({
              kind: "compartment",
              compartment: { ...compartment, supply: { ...supply, volts: measured } },
            })
          }
        >
          Plan for {Math.round(measured)} V as measured
        </Button>
      ) : null}
    </Box>
  );
}
