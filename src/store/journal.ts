import { v7 as uuid } from "uuid";
import { type Fact, readFact } from "@/core";
import { type FactRow, waitingRow } from "./factRow";
import { ENTRY_PREFIX, OLDER_PREFIX } from "./journalPrefixes";

/**
 * Facts on their way to this device's database, in local storage: written before the key's handler returns, so that a tab
 * that dies in the milliseconds until the database has them loses none. What the database has is taken out.
 */

/** Writes a fact down; false where storage is refused. */
export function writeDown(job: string, fact: Fact): boolean {
  try {
    localStorage.setItem(`${ENTRY_PREFIX}${job}:${fact.id}`, JSON.stringify(fact));
    return true;
  } catch {
    return false;
  }
}

/** The database has it. */
export function takeOut(job: string, id: string): void {
  try {
    localStorage.removeItem(`${ENTRY_PREFIX}${job}:${id}`);
  } catch {
    return;
  }
}

/** What was left behind: by dead tabs, and by versions before the database; with the keys where it lies. In the order made. */
export function leftBehind(): { rows: FactRow[]; keys: string[] } {
  const rows: FactRow[] = [];
  const keys: string[] = [];
  try {
    for (const key of Object.keys(localStorage)) {
      const job = jobOf(key);
      const kept = job === null ? undefined : parsed(localStorage.getItem(key));
      // What is no JSON cannot be told apart to facts: it stays where it is.
      if (job === null || kept === undefined) continue;
      // Nor is what a newer version has just written down.
      if (key.startsWith(ENTRY_PREFIX) && !readFact(kept).ok) continue;
      rows.push(...(Array.isArray(kept) ? kept : [kept]).map((entry) => rowOf(job, entry)));
      keys.push(key);
    }
  } catch {
    return { rows: [], keys: [] };
  }
  return { rows: rows.sort((a, b) => (a.id < b.id ? -1 : 1)), keys };
}

function rowOf(job: string, entry: unknown): FactRow {
  const read = readFact(entry);
  if (read.ok) return waitingRow(job, read.fact);
  const says = read.faults.map((fault) => fault.says).join(" ");
  return { job, id: uuid(), fact: entry, standing: "aside", says };
}

/** Takes out the keys of what was left behind, once it is kept elsewhere. */
export function cleared(keys: Iterable<string>): void {
  try {
    for (const key of keys) localStorage.removeItem(key);
  } catch {
    return;
  }
}

function jobOf(key: string): string | null {
  if (key.startsWith(ENTRY_PREFIX)) return key.slice(ENTRY_PREFIX.length).split(":")[0] ?? null;
  return key.startsWith(OLDER_PREFIX) ? key.slice(OLDER_PREFIX.length) : null;
}

function parsed(text: string | null): unknown {
  try {
    return JSON.parse(text ?? "");
  } catch {
    return undefined;
  }
}
