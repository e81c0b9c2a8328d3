"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { asked } from "@/contract/call";
import { listJobs } from "@/contract/routes/jobs";
import { deriveJob, leadNames, referenceFromEarlier } from "@/core";
import { factsAtServer } from "@/store/factsAtServer";
import { useJob, useLeadNames } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { serverQueries } from "../parts/serverQueries";
import { Trouble } from "../parts/Trouble";
import { localDay } from "../parts/useLocalDay";
import { TOUCH } from "../theme/measures";

/**
 * An earlier sheet of this motor, taken as the reference: its ohms, and its insulation tests with it, so that the trend
 * goes on.
 */
export function EarlierSheetChoice() {
  const { id, job, add } = useJob("insulation");
  const { names } = useLeadNames();
  const [chosen, setChosen] = useState("");
  const [says, setSays] = useState<string | null>(null);
  const jobs = useQuery(
    {
      queryKey: ["earlier-jobs"],
      staleTime: 30_000,
      retry: 1,
      queryFn: async ({ signal }) => (await asked(listJobs, { signal })).jobs,
    },
    serverQueries(),
  );
  const others = (jobs.data ?? []).filter((other) => other.id !== id);

  const take = async () => {
    setSays(null);
    const facts = await factsAtServer(chosen);
    if (!facts) {
      setSays("That sheet cannot be had from the server just now.");
      return;
    }
    const earlier = deriveJob(facts);
    const { reference, unmatched } = referenceFromEarlier(earlier, leadNames(earlier.leads), names, localDay);
    const have = new Set(job.insulation.map(({ on, megohms }) => `${on} ${megohms}`));
    for (const { fact: _, ...test } of earlier.insulation)
      if (!have.has(`${test.on} ${test.megohms}`)) add({ kind: "insulation", test });
    if (reference.lines.length > 0) add({ kind: "reference", reference });
    else
      setSays(
        `No reading there is between leads that this motor has. Not the same: ${unmatched.join(", ")}.`,
      );
  };

  return (
    <Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr) auto", gap: 3, alignItems: "end" }}>
        <Choice label="This motor’s earlier sheet" value={chosen} onChange={setChosen}>
          <option value="">{jobs.isError ? "the list cannot be had just now" : "choose a job"}</option>
          {others.map((other) => (
            <option key={other.id} value={other.id}>
              {localDay(other.at)} · {other.title || "motor without a name"}
            </option>
          ))}
        </Choice>
        <Button
          color="inherit"
          disabled={chosen === ""}
          onClick={() => void take()}
          sx={{ minHeight: TOUCH }}
        >
          Take it
        </Button>
      </Box>
      {says ? <Trouble sx={{ mt: 1 }}>{says}</Trouble> : null}
    </Box>
  );
}
