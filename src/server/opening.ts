import type { FactsSince } from "@/contract";
import type { Opening } from "@/core";
import { inThread } from "./heavy";
import { log } from "./log";
import { isQueueFull } from "./queue";

/** A page does not wait longer than this for what it could work out itself. */
const WAIT_MS = 900;
const MOST_KEPT = 300;

/** Kept on the process, not the module: each page may be built with a copy of this file. */
const here = globalThis as typeof globalThis & { oddLeadOpenings?: Map<string, Promise<Opening | null>> };
here.oddLeadOpenings ??= new Map();
const openings = here.oddLeadOpenings;

/**
 * What a job's facts come to, worked out in a thread and kept while no fact arrives; null where that takes longer than a
 * page may wait, or the job is read in pages.
 */
export async function openingOf(shop: string, job: string, first: FactsSince): Promise<Opening | null> {
  if (first.more || first.facts.length === 0) return null;
  const key = `${shop} ${job} ${first.arrival} ${first.history?.latest}`;
  const made = openings.get(key) ?? workedOut(shop, first);
  openings.delete(key);
  openings.set(key, made);
  const oldest = openings.keys().next().value;
  if (openings.size > MOST_KEPT && oldest !== undefined) openings.delete(oldest);
  void made.then((opening) => opening === null && openings.delete(key));
  const late = new Promise<null>((resolve) => setTimeout(resolve, WAIT_MS, null));
  return Promise.race([made, late]);
}

async function workedOut(shop: string, { facts }: FactsSince): Promise<Opening | null> {
  try {
    return (await inThread(`pages ${shop}`, "opening", facts)) as Opening;
  } catch (error) {
    if (!isQueueFull(error)) log.warn({ err: error }, "a job could not be worked out for its page");
    return null;
  }
}
