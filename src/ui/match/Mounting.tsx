"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { Plate } from "@/core";
import { mountingSteps, type Need } from "@/core/replacement";
import { useJob } from "../job/JobContext";
import { Tick } from "../parts/Tick";
import { useWords } from "../words/UsageProvider";

/** The checklist for mounting; ticks are kept with the job. */
export function Mounting({ need, name, plate }: { need: Need; name: string; plate: Plate }) {
  const words = useWords();
  const { job, add } = useJob("ticked");
  const steps = mountingSteps(need, { id: name, name, plate, count: 1 });
  const stepOf = (id: string) => `mounting ${id}`;
  return (
    <Box>
      <Typography variant="h3" sx={{ fontSize: "1rem", fontWeight: 700 }}>
        Mounting
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, mt: 1, p: 0 }}>
        {steps.map(({ id, says }) => (
          <li key={id}>
            <Tick
              checked={job.ticked.includes(stepOf(id))}
              onTick={(done) => add({ kind: "tick", step: stepOf(id), done })}
              high
            >
              <span>{words(says)}</span>
            </Tick>
          </li>
        ))}
      </Box>
    </Box>
  );
}
