import { type Called, call } from "@/contract/call";
import { type FactsSince, factsOfJob } from "@/contract/routes/jobs";

/**
 * Facts of a job that the server has, in the order of their arrival, asked for in as many pages as there are: so a job of
 * very many facts holds nobody up, here or at the server.
 *
 * @param onPage is told each page as it comes; false stops the asking.
 * @returns the last answer.
 */
export async function eachPage(
  job: string,
  after: number,
  onPage: (page: FactsSince) => boolean | Promise<boolean>,
): Promise<Called<FactsSince>> {
  let arrival = after;
  for (;;) {
    const called = await call(factsOfJob, { params: { job }, query: { after: arrival } });
    if (!called.ok || !(await onPage(called.value)) || !called.value.more) return called;
    arrival = called.value.arrival;
  }
}

/** All facts of a job that the server has; null where it did not give them all. */
export async function factsAtServer(job: string): Promise<FactsSince["facts"] | null> {
  const facts: FactsSince["facts"] = [];
  const called = await eachPage(job, 0, (page) => {
    for (const one of page.facts) facts.push(one);
    return true;
  });
  return called.ok ? facts : null;
}
