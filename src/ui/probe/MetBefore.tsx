"use client";

import { useQuery } from "@tanstack/react-query";
import dynamic from "next/dynamic";
import { asked } from "@/contract/call";
import { askMetBefore } from "@/contract/routes/metBefore";
import { FINGERPRINT_READINGS, motorOhms } from "@/core";
import { useJob, useLeadNames } from "../job/JobContext";
import { brought } from "../parts/brought";
import { serverQueries } from "../parts/serverQueries";

const MetMotors = dynamic(() => brought(import("./MetMotors").then((made) => made.MetMotors)));

/** Motors of the shop that read like this one, and what was found then; nothing while none is likelier than not. */
export function MetBefore() {
  const { id, job } = useJob("leads", "meter", "conditions", "pairReadings");
  const { names } = useLeadNames();
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
  const { data } = useQuery(
    {
      queryKey: ["met-before", read],
      enabled: read.readings.length >= FINGERPRINT_READINGS,
      staleTime: 60_000,
      retry: 0,
      queryFn: async ({ signal }) => (await asked(askMetBefore, { body: read, signal })).met,
    },
    serverQueries(),
  );
  const [first, ...others] = data ?? [];
  return first ? <MetMotors first={first} others={others} /> : null;
}
