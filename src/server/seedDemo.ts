import { z } from "zod";
import { fact } from "@/core";
import type { Database } from "./database";
import demoJobs from "./demo/jobs.json";
import { jobStore } from "./jobStore";

const demo = z.array(z.object({ id: z.uuid(), demo: z.string(), facts: z.array(fact) }));

/** Puts the demo jobs in where they are missing; what was added to them since stays. */
export async function seedDemo(db: Database): Promise<void> {
  const store = jobStore(db);
  for (const job of demo.parse(demoJobs)) await store.addFacts(job.id, job.facts, job.demo);
}
