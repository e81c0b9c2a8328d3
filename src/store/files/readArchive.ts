import { strFromU8, unzip } from "fflate";
import * as z from "zod/mini";
import { digestOfBytes, type Fault, type JobFile, readJobFile, stockItem } from "@/core";
import { compartment } from "@/core/wiring";
import { JOB_FILE } from "./jobArchive";
import { SHOP_FILE } from "./shopArchive";

/** More is not unpacked: an archive of a few kilobytes may hold the whole memory. */
const MOST_BYTES = 800e6;
const MOST_ENTRIES = 50_000;

const shopFile = z.object({
  format: z.literal("odd-lead/shop@1"),
  written: z.string(),
  equipment: z.array(z.object({ id: z.uuid(), made: compartment })),
  stock: z.array(stockItem),
});
export type ShopFile = z.output<typeof shopFile>;

/** A job out of a file, with the photos that came with it. */
export interface ReadJob {
  readonly name: string;
  readonly file: JobFile;
  readonly photos: ReadonlyMap<string, Uint8Array>;
}

/** What a file holds, and what of it does not hold together. */
export interface ReadArchive {
  readonly jobs: readonly ReadJob[];
  readonly shop: ShopFile | null;
  readonly faults: readonly { readonly name: string; readonly faults: readonly Fault[] }[];
}

/** Reads a job's JSON, a job's zip or a shop's archive. What is broken is told by file, place and words. */
export async function readArchive(name: string, bytes: Uint8Array): Promise<ReadArchive> {
  if (!isZip(bytes)) {
    const read = readJobFile(strFromU8(bytes));
    return read.ok
      ? onlyJobs([withPhotos(name, read.file, new Map())])
      : { jobs: [], shop: null, faults: [{ name, faults: read.faults }] };
  }
  const entries = await unpacked(bytes);
  if (typeof entries === "string")
    return { jobs: [], shop: null, faults: [{ name, faults: [says(entries)] }] };
  const jobs: (ReadJob | { readonly name: string; readonly faults: readonly Fault[] })[] = [];
  for (const [path, content] of Object.entries(entries)) {
    if (path !== JOB_FILE && !/^jobs\/[^/]+\.json$/.test(path)) continue;
    const read = readJobFile(strFromU8(content));
    jobs.push(read.ok ? withPhotos(path, read.file, photosIn(entries)) : { name: path, faults: read.faults });
  }
  const faults = jobs.filter((one) => "faults" in one);
  const shop = shopOf(entries[SHOP_FILE]);
  if (shop === "broken")
    faults.push({ name: SHOP_FILE, faults: [says("Stock and equipment do not hold together.")] });
  if (jobs.length === 0 && !shop) faults.push({ name, faults: [says("There is no job in this archive.")] });
  const whole = onlyJobs(jobs.filter((one) => "file" in one));
  return { ...whole, shop: shop === "broken" ? null : shop, faults: [...whole.faults, ...faults] };
}

/** Jobs whose photos are as the file says; the others are refused. */
function onlyJobs(read: readonly ReadJob[]): ReadArchive {
  const faults: { name: string; faults: Fault[] }[] = [];
  const jobs = read.filter(({ name, file, photos }) => {
    const wrong = file.photos.findIndex(({ id, sha256 }) => {
      const bytes = photos.get(id);
      return !bytes || digestOfBytes(bytes) !== sha256;
    });
    if (wrong < 0) return true;
    const path = ["photos", wrong];
    faults.push({
      name,
      faults: [{ code: "photo", path, says: "This photo is missing or is not as it was written." }],
    });
    return false;
  });
  return { jobs, shop: null, faults };
}

function withPhotos(name: string, file: JobFile, all: ReadonlyMap<string, Uint8Array>): ReadJob {
  return {
    name,
    file,
    photos: new Map(file.photos.flatMap(({ id }) => (all.has(id) ? [[id, all.get(id) as Uint8Array]] : []))),
  };
}

function photosIn(entries: Readonly<Record<string, Uint8Array>>): Map<string, Uint8Array> {
  return new Map(
    Object.entries(entries).flatMap(([path, bytes]) => {
      const [, id] = /^photos\/([0-9a-f-]{36})\.jpg$/.exec(path) ?? [];
      return id ? [[id, bytes] as const] : [];
    }),
  );
}

function shopOf(bytes: Uint8Array | undefined): ShopFile | "broken" | null {
  if (!bytes) return null;
  try {
    const read = shopFile.safeParse(JSON.parse(strFromU8(bytes)));
    return read.success ? read.data : "broken";
  } catch {
    return "broken";
  }
}

function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b;
}

/** The entries of an archive by path, or why there are none. */
function unpacked(bytes: Uint8Array): Promise<Record<string, Uint8Array> | string> {
  let total = 0;
  let count = 0;
  let tooMuch = false;
  return new Promise((resolve) => {
    try {
      unzip(
        bytes,
        {
          filter: ({ originalSize }) => {
            total += originalSize;
            count += 1;
            tooMuch ||= total > MOST_BYTES || count > MOST_ENTRIES;
            return !tooMuch;
          },
        },
        (error, entries) => {
          if (tooMuch) resolve("This archive unpacks to more than is read at once.");
          else resolve(error ? "This archive is broken off or damaged." : entries);
        },
      );
    } catch {
      resolve("This archive is broken off or damaged.");
    }
  });
}

function says(text: string): Fault {
  return { code: "archive", path: [], says: text };
}
