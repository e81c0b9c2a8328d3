import { and, eq } from "drizzle-orm";
import { type Fact, readFact } from "@/core";
import type { Database } from "./database";
import { log } from "./log";
import { facts } from "./schema";

/** Every row of a job's facts, in the order of their arrival; so many at most, where that is said. */
export function rowsOf(
  on: Pick<Database, "select">,
  shopId: string,
  jobId: string,
  most = Number.MAX_SAFE_INTEGER,
): Promise<(typeof facts.$inferSelect)[]> {
  return on
    .select()
    .from(facts)
    .where(and(eq(facts.shopId, shopId), eq(facts.jobId, jobId)))
    .orderBy(facts.arrival)
    .limit(most);
}

/**
 * Stored rows as the facts they are, brought up to the present version. A row that this version cannot read takes nothing
 * with it: it stays where it is, is counted and logged, and the rest goes on.
 */
export function readRows(rows: readonly (typeof facts.$inferSelect)[]): { read: Fact[]; unreadable: number } {
  const read: Fact[] = [];
  for (const { id, jobId, at, by, device, seq, body } of rows) {
    const made = device === null || seq === null ? {} : { made: { device, seq } };
    const result = readFact({ id, at: new Date(at).toISOString(), by, ...made, body });
    if (result.ok) read.push(result.fact);
    else log.warn({ job: jobId, fact: id, faults: result.faults }, "a kept fact cannot be read");
  }
  return { read, unreadable: rows.length - read.length };
}
