"use client";

import dynamic from "next/dynamic";
import { asked } from "@/contract/call";
import { askMetBefore } from "@/contract/routes/metBefore";
import { FINGERPRINT_READINGS, motorOhms } from "@/core";
import { useJob, useLeadNames } from "../job/JobContext";
import { brought } from "../parts/brought";
import { useServed } from "../parts/useServed";

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
  const enough = read.readings.length >= FINGERPRINT_READINGS;
  const { answer } = useServed(
    enough ? `met-before ${JSON.stringify(read)}` : "",
    async (signal) => (await asked(askMetBefore, { body: read, signal })).met,
  );
  const [first, ...others] = answer ?? [];
  return first ? <MetMotors first={first} others={others} /> : null;
}
