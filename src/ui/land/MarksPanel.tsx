"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { boardNumber } from "@/core/wiring";
import { useJob, useJobWiring, useLeadNames } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { LeadTag } from "../parts/LeadTag";

/** Which end of each coil is which: read off the leads, or proved by a kick test, and kept as their marks. */
export function MarksPanel() {
  const { job, add } = useJob("leads");
  const wiring = useJobWiring();
  const { short } = useLeadNames();
  if (wiring.kind !== "plan" && wiring.kind !== "unproved") return null;
  const { motor } = wiring;
  const slots = [...new Set(motor.leads.map(({ slot }) => slot))].filter(
    (slot) => boardNumber(slot) !== null,
  );
  const order = (slot: string) => boardNumber(slot) ?? 0;
  const numbers = slots.length > 0 ? slots.sort((a, b) => order(a) - order(b)) : null;
  return (
    <Box sx={{ display: "grid", gap: 3 }}>
      <Typography sx={{ maxWidth: 720 }}>
        Or the numbers that stand on the leads themselves, read off the sleeves: they prove the ends without a
        test.
      </Typography>
      {numbers ? (
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(3, 1fr)", md: "repeat(6, 1fr)" },
            gap: 3,
          }}
        >
          {job.leads.map((lead) => {
            const slot = motor.leads.find(({ id }) => id === lead.id)?.slot ?? "";
            return (
              <Box key={lead.id}>
                <LeadTag lead={lead} name={short(lead.id)} />
                <Choice
                  label={motor.unproved.includes(slot) ? "Number" : `Number, proved as ${slot}`}
                  value={lead.mark ?? ""}
                  onChange={(mark) => {
                    const { mark: _, ...bare } = lead;
                    add({ kind: "lead", lead: mark === "" ? bare : { ...bare, mark } });
                  }}
                >
                  <option value="">not proved</option>
                  {numbers.map((number) => (
                    <option key={number} value={number}>
                      {number}
                    </option>
                  ))}
                </Choice>
              </Box>
            );
          })}
        </Box>
      ) : (
        <Typography>
          Only the turning depends on it here: bump it, and change one pair over if it is wrong.
        </Typography>
      )}
    </Box>
  );
}
