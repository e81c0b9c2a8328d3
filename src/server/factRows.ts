import { type Fact, readFact } from "@/core";
import { log } from "./log";
import type { facts } from "./schema";

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
