import { strToU8, zipSync } from "fflate";
import { type Called, call } from "@/contract/call";
import { listEquipment } from "@/contract/routes/equipment";
import { factsOfJob, listJobs } from "@/contract/routes/jobs";
import { listStock } from "@/contract/routes/stock";
import { jobText, type MadeFile, photosOf } from "./jobArchive";
import { paced, patiently } from "./patiently";

/** The form of `odd-lead/shop@1`: what stands beside the jobs of an archive. */
export const SHOP_FILE = "shop.json";

/** How far the archive is. */
export interface ArchiveProgress {
  readonly done: number;
  readonly all: number;
}

const PAGE = 200;

/** Everything the shop has as one archive: each job with its photos, stock, equipment of its own. */
export async function shopArchive(
  written: string,
  onProgress: (progress: ArchiveProgress) => void,
  signal: AbortSignal,
): Promise<MadeFile> {
  const ids: string[] = [];
  for (let before: string | undefined; ; ) {
    const query = { shelved: "any" as const, most: PAGE, ...(before ? { before } : {}) };
    const page = await must(() => call(listJobs, { query, signal }));
    ids.push(...page.jobs.map(({ id }) => id));
    if (page.next === null) break;
    before = page.next;
  }
  const entries: Record<string, Uint8Array | [Uint8Array, { level: 0 }]> = {};
  for (const [done, job] of ids.entries()) {
    signal.throwIfAborted();
    onProgress({ done, all: ids.length });
    await paced(ids.length);
    const { facts } = await must(() => call(factsOfJob, { params: { job }, signal }));
    if (facts.length === 0) continue;
    const photos = await photosOf(job, facts);
    if (!photos) throw new Error("A photo could not be had from the server; the archive would not be whole.");
    entries[`jobs/${job}.json`] = strToU8(jobText(job, facts, photos, written));
    for (const { id, bytes } of photos) entries[`photos/${id}.jpg`] = [bytes, { level: 0 }];
  }
  const { equipment } = await must(() => call(listEquipment, { signal }));
  const stock = [];
  for (let offset = 0; ; offset += PAGE) {
    const { lines, total } = await must(() => call(listStock, { query: { most: PAGE, offset }, signal }));
    stock.push(...lines.map(({ item }) => item));
    if (lines.length === 0 || stock.length >= total) break;
  }
  entries[SHOP_FILE] = strToU8(JSON.stringify({ format: "odd-lead/shop@1", written, equipment, stock }));
  return {
    name: `odd-lead-${written.slice(0, 10)}.zip`,
    type: "application/zip",
    bytes: zipSync(entries),
  };
}

/** An answer, or an error in the server's words: half an archive is none. */
async function must<T>(ask: () => Promise<Called<T>>): Promise<T> {
  const called = await patiently(ask);
  if (!called.ok) throw new Error(called.says);
  return called.value;
}
