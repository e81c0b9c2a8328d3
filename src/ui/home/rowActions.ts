import { v7 as uuid } from "uuid";
import type { FactBody, JobSummary } from "@/core";
import { addToJob, jobOf } from "@/store/addToJob";
import { deviceName } from "../job/deviceName";

/** Puts a job elsewhere in the lists. Its facts stay, and it can be put back. */
export async function shelve(job: string, as: JobSummary["shelved"]): Promise<void> {
  await addToJob(job, [{ kind: "shelved", as }], deviceName());
}

/**
 * Begins a new visit to what a job was about: the same unit under the same name, the motor that is in it now, its
 * equipment. What was measured then stays with the visit of then.
 *
 * @returns the new job's id; null where the old one cannot be had.
 */
export async function newVisit(of: string): Promise<string | null> {
  const job = await jobOf(of);
  if (!job) return null;
  const id = uuid();
  const { new: fresh, old } = job.plates;
  const inPlace = Object.keys(fresh).length > 0 ? fresh : old;
  const bodies: FactBody[] = [
    ...(job.title === "" ? [] : [{ kind: "title", title: job.title } as const]),
    ...(job.unit ? [{ kind: "unit", unit: job.unit } as const] : []),
    ...Object.entries(inPlace).map(
      ([field, typed]) => ({ kind: "plate", motor: "old", field, typed }) as FactBody,
    ),
    ...job.leads.map((lead) => ({ kind: "lead", lead }) as const),
  ];
  await addToJob(id, bodies, deviceName());
  return id;
}
