"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import type * as z from "zod/mini";
import type { askMetBefore } from "@/contract/routes/metBefore";
import { pairAt, type Reference, USUAL_REFERENCE_C, USUAL_TOLERANCE_PERCENT } from "@/core";
import { useJob, useLeadNames } from "../job/JobContext";
import { CAUSE_NAMES } from "../parts/causeNames";
import { LocalDay } from "../parts/LocalDay";
import { PlainLink } from "../parts/PlainLink";
import { useLocalDay } from "../parts/useLocalDay";
import { TOUCH } from "../theme/measures";

export type Met = z.output<typeof askMetBefore.answer>["met"][number];

/** Motors that read like this one, the likeliest with what was found then. */
export function MetMotors({ first, others }: { readonly first: Met; readonly others: readonly Met[] }) {
  return (
    <Box component="section" aria-label="Met before" sx={{ borderTop: "1.5px solid", pt: 3 }}>
      <Typography variant="h2">Met before</Typography>
      <Typography sx={{ mt: 1 }}>
        {Math.round(100 * Math.min(0.99, first.likely))} %: this motor, or one of its model.
      </Typography>
      <Earlier met={first} />
      {others.map((met) => (
        <Typography key={keyOf(met)} sx={{ mt: 1, color: "text.secondary" }}>
          The same ohms: <Which met={met} />
        </Typography>
      ))}
    </Box>
  );
}

const keyOf = ({ of }: Met) => (of.kind === "job" ? of.job.id : of.line.id);

/** Which motor it was: of a job, with its day and what was found, or a line of the stock. */
function Which({ met: { of } }: { met: Met }) {
  if (of.kind === "stock") {
    const { name, part, place, onHand } = of.line;
    return (
      <>
        <PlainLink href={`/stock?search=${encodeURIComponent(part || name)}`}>{name}</PlainLink> of the stock,{" "}
        {onHand > 0 ? `${onHand} on hand` : "none on hand"}
        {place === "" ? "" : `, ${place}`}
      </>
    );
  }
  const { id, title, at, cause } = of.job;
  const found = (CAUSE_NAMES as Readonly<Record<string, string>>)[cause] ?? cause;
  return (
    <>
      <PlainLink href={`/jobs/${id}/probe`}>{title}</PlainLink>, <LocalDay at={at} />
      {found === "" ? "" : `; found then: ${found}`}
    </>
  );
}

function Earlier({ met }: { met: Met }) {
  const { add, job } = useJob("reference");
  const { short } = useLeadNames();
  const { of, print, map } = met;
  const on = useLocalDay(of.kind === "job" ? of.job.at : "");
  const source = (of.kind === "job" ? `Met ${on}: ${of.job.title}` : `Of the stock: ${of.line.name}`).slice(
    0,
    80,
  );
  const taken = job.reference?.source === source;
  return (
    <>
      <Typography sx={{ mt: 1 }}>
        <Which met={met} />
      </Typography>
      <Box
        component="ul"
        aria-label={of.kind === "job" ? "Leads of then" : "Leads of that motor"}
        sx={{ m: 0, mt: 1, pl: 5 }}
      >
        {map.map(({ here, earlier }) => {
          const lead = print.leads[earlier];
          const then = of.kind === "job" ? "then" : "there";
          return (
            <li key={here}>
              {short(here)} here is{" "}
              {lead?.name === short(here) ? `the same ${then}` : `${lead?.name ?? "?"} ${then}`}
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
