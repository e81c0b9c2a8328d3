"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import type { z } from "zod";
import { asked } from "@/contract/call";
import { askMetBefore } from "@/contract/routes/metBefore";
import {
  FINGERPRINT_READINGS,
  motorOhms,
  pairAt,
  type Reference,
  USUAL_REFERENCE_C,
  USUAL_TOLERANCE_PERCENT,
} from "@/core";
import { useJob } from "../job/JobContext";
import { CAUSE_NAMES } from "../parts/causeNames";
import { LocalDay } from "../parts/LocalDay";
import { PlainLink } from "../parts/PlainLink";
import { useLocalDay } from "../parts/useLocalDay";
import { TOUCH } from "../theme/theme";

type Met = z.output<typeof askMetBefore.answer>["met"][number];

/** Motors of the shop that read like this one, and what was found then; nothing while none is likelier than not. */
export function MetBefore() {
  const { id, job, names } = useJob();
  const read = {
    job: id,
    leads: job.leads.map((lead) => ({ id: lead.id, name: names.get(lead.id)?.short ?? "" })),
    readings: motorOhms(job).map(({ between, ohms, sigmaOhms }) => ({
      between: [between[0], between[1]] as [string, string],
      ohms,
      sigmaOhms,
    })),
    windingC: job.conditions.windingC ?? null,
  };
  const { data } = useQuery({
    queryKey: ["met-before", read],
    enabled: read.readings.length >= FINGERPRINT_READINGS,
    staleTime: 60_000,
    retry: 0,
    queryFn: async ({ signal }) => (await asked(askMetBefore, { body: read, signal })).met,
  });
  const [first, ...others] = data ?? [];
  if (!first) return null;
  return (
    <Box component="section" aria-label="Met before" sx={{ borderTop: "1.5px solid", pt: 3 }}>
      <Typography variant="h2">Met before</Typography>
      <Typography sx={{ mt: 1 }}>
        {Math.round(100 * Math.min(0.99, first.likely))} %: this motor, or one of its model.
      </Typography>
      <Earlier met={first} />
      {others.map((met) => (
        <Typography key={met.job.id} sx={{ mt: 1, color: "text.secondary" }}>
          The same ohms: <PlainLink href={`/jobs/${met.job.id}/probe`}>{met.job.title}</PlainLink>,{" "}
          <LocalDay at={met.job.at} />
        </Typography>
      ))}
    </Box>
  );
}

function Earlier({ met }: { met: Met }) {
  const { add, short, job } = useJob();
  const { print, map } = met;
  const on = useLocalDay(met.job.at);
  const found = (CAUSE_NAMES as Readonly<Record<string, string>>)[met.job.cause] ?? met.job.cause;
  const source = `Met ${on}: ${met.job.title}`.slice(0, 80);
  const taken = job.reference?.source === source;
  return (
    <>
      <Typography sx={{ mt: 1 }}>
        <PlainLink href={`/jobs/${met.job.id}/probe`}>{met.job.title}</PlainLink>, {on}
        {found === "" ? "" : `; found then: ${found}`}
      </Typography>
      <Box component="ul" aria-label="Leads of then" sx={{ m: 0, mt: 1, pl: 5 }}>
        {map.map(({ here, earlier }) => {
          const lead = print.leads[earlier];
          return (
            <li key={here}>
              {short(here)} here is{" "}
              {lead?.name === short(here) ? "the same then" : `${lead?.name ?? "?"} then`}
              {lead?.was ? `, ${lead.was}` : ""}
            </li>
          );
        })}
      </Box>
      <Button
        color="inherit"
        disabled={taken}
        onClick={() => add({ kind: "reference", reference: referenceOf(met, source) })}
        sx={{ mt: 2, minHeight: TOUCH }}
      >
        {taken ? "Readings are held against it" : "Hold the readings against it"}
      </Button>
      <Typography sx={{ mt: 1, color: "text.secondary", fontSize: "0.875rem" }}>
        A hypothesis: the meter confirms it, or does not.
      </Typography>
    </>
  );
}

/** The ohms of then between the leads of now, to hold what is read against. */
function referenceOf({ print, map }: Met, source: string): Reference {
  return {
    source,
    referenceC: print.windingC ?? USUAL_REFERENCE_C,
    tolerancePercent: USUAL_TOLERANCE_PERCENT,
    lines: map.flatMap((one, i) =>
      map.slice(i + 1).flatMap((other) => {
        const ohms = print.ohms[pairAt(one.earlier, other.earlier, print.leads.length)];
        return typeof ohms === "number" && ohms >= 0
          ? [{ between: [one.here, other.here] as [string, string], ohms }]
          : [];
      }),
    ),
  };
}
