import { v7 as uuid } from "uuid";
import type { Fact, FactBody } from "@/core";

const KEY = "odd-lead:device";
/** A clock that stands before this was never set. */
const EARLIEST_MS = Date.UTC(2026, 0, 1);

let device: string | null = null;
let last = 0;

/** The name of this device among all: made once, kept in its storage, or as long as the page where that is refused. */
export function deviceId(): string {
  if (device !== null) return device;
  try {
    device = localStorage.getItem(KEY) ?? uuid();
    localStorage.setItem(KEY, device);
  } catch {
    device ??= uuid();
  }
  return device;
}

/** A fact made here now, after all that were made here before, whatever the clock says. */
export function makeFact(body: FactBody, by: string, id: string = uuid()): Fact {
  const nowMs = Math.max(Date.now(), EARLIEST_MS);
  last = Math.max(last + 1, nowMs);
  return { id, at: new Date(nowMs).toISOString(), by, made: { device: deviceId(), seq: last }, body };
}

/** Facts of this device that came from the store: what is made from now on comes after them. */
export function madeBefore(facts: readonly Fact[]): void {
  for (const { made } of facts) if (made && made.device === deviceId()) last = Math.max(last, made.seq);
}
