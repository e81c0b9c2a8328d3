import { type Fact, readFact } from "@/core";
import { openShelf } from "./openShelf";

/** The jobs that this device keeps, with their facts as far as it has seen them; those touched last first. */
export async function keptJobs(most: number): Promise<{ job: string; facts: readonly Fact[] }[]> {
  const shelf = await openShelf();
  const jobs = await shelf.jobs(most);
  return Promise.all(
    jobs.map(async (job) => {
      const { rows } = await shelf.load(job);
      const facts = rows.flatMap(({ standing, fact }) => {
        const read = standing === "aside" ? null : readFact(fact);
        return read?.ok ? [read.fact] : [];
      });
      return { job, facts };
    }),
  );
}
