"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { plateOf } from "@/core";
import { settingFor } from "@/core/wiring";
import { useJob } from "../job/JobContext";
import { PlainLink } from "../parts/PlainLink";
import { Verdict } from "../parts/Verdict";
import { WholePlateEntry } from "../plate/WholePlateEntry";
import { SupplySeen } from "../safe/SupplySeen";
import { useWords } from "../words/UsageProvider";

/** Which setting the supply wants of the motor, by its plate and the meter alone; how it is joined now, its ohms tell. */
export function SetVolts() {
  const words = useWords();
  const { id, job } = useJob("plates", "safe");
  const { volts } = plateOf(job);
  const supply = job.safe.supply?.between;
  const found = volts && supply !== undefined ? settingFor(volts, supply) : null;
  return (
    <Box
      component="section"
      aria-label="Set the voltage"
      sx={{
        borderTop: "3px solid",
        borderColor: "primary.main",
        pt: 3,
        display: "grid",
        gap: 4,
        maxWidth: 760,
      }}
    >
      <Typography variant="h2">Set the voltage</Typography>
      <Box aria-live="polite">
        {found ? (
          <>
            <Verdict
              weight={found.weight}
              word={
                found.setting === null
                  ? "Stop: not on this supply"
                  : found.setting === "only"
                    ? "Nothing to set"
                    : `The ${found.setting} setting`
              }
            />
            <Typography sx={{ mt: 1, fontSize: "1.125rem" }}>{words(found.says)}</Typography>
            {found.setting === "low" || found.setting === "high" ? (
              <Typography sx={{ mt: 1 }}>
                Which leads or links that takes, and how they stand now, the ohms tell: enter the leads in{" "}
                <PlainLink href={`/jobs/${id}/probe`}>Probe</PlainLink>, then the moves are listed here. A
                plug or a dial is turned with the power off and read again.
              </Typography>
            ) : null}
          </>
        ) : (
          <Typography>
            {supply === undefined
              ? "First the supply, measured before it is locked off."
              : "Now the plate’s volts."}
          </Typography>
        )}
      </Box>
      <SupplySeen />
      <WholePlateEntry motor="old" />
    </Box>
  );
}
