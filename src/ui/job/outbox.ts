import { type Fact, readFact } from "@/core";
import { OUTBOX_PREFIX } from "./outboxKeys";

/**
 * Facts made in this browser that the server has not confirmed yet, kept in local storage from the moment they are
 * made: a killed tab or a lost signal loses nothing.
 */

/** Facts of a job still waiting to be sent. Entries that storage has spoiled are passed over. */
export function waitingFacts(jobId: string): Fact[] {
  return read(OUTBOX_PREFIX + jobId);
}

/** Puts a fact in the outbox of its job. Gives false where the browser refuses to keep it. */
export function putFact(jobId: string, added: Fact): boolean {
  return write(OUTBOX_PREFIX + jobId, [...waitingFacts(jobId), added]);
}

/** Takes confirmed facts out. */
export function confirmFacts(jobId: string, ids: ReadonlySet<string>): void {
  const rest = waitingFacts(jobId).filter((f) => !ids.has(f.id));
  write(OUTBOX_PREFIX + jobId, rest);
}

function read(key: string): Fact[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? "[]");
    if (!Array.isArray(kept)) return [];
    return kept.flatMap((entry) => {
      const read = readFact(entry);
      return read.ok ? [read.fact] : [];
    });
  } catch {
    return [];
  }
}

function write(key: string, list: readonly Fact[]): boolean {
  try {
    if (list.length === 0) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(list));
    return true;
  } catch {
    return false;
  }
}
