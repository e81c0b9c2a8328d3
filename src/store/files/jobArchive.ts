import { strToU8, zipSync } from "fflate";
import { call } from "@/contract/call";
import { getPhoto } from "@/contract/routes/jobs";
import { deriveJob, digestOfBytes, type Fact, jobFileOf, jobFileText } from "@/core";
import { patiently } from "./patiently";

/** A file ready to be saved. */
export interface MadeFile {
  readonly name: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

/** A photo of a job with its bytes. */
export interface PhotoBytes {
  readonly id: string;
  readonly bytes: Uint8Array;
}

/** Where a job and its photos stand in an archive. */
export const JOB_FILE = "job.json";
export const photoPath = (photo: string) => `photos/${photo}.jpg`;

/**
 * A job as a file: JSON alone, or with its photos a zip of both.
 *
 * @returns null for the photos that could not be had: the file would not be whole.
 */
export async function jobArchive(
  job: string,
  facts: readonly Fact[],
  written: string,
): Promise<MadeFile | null> {
  const photos = await photosOf(job, facts);
  if (!photos) return null;
  const text = jobText(job, facts, photos, written);
  const name = fileName(facts, job);
  if (photos.length === 0) return { name: `${name}.json`, type: "application/json", bytes: strToU8(text) };
  const entries: Record<string, Uint8Array | [Uint8Array, { level: 0 }]> = { [JOB_FILE]: strToU8(text) };
  // A JPEG is packed already.
  for (const { id, bytes } of photos) entries[photoPath(id)] = [bytes, { level: 0 }];
  return { name: `${name}.zip`, type: "application/zip", bytes: zipSync(entries) };
}

/** The text of a job's file that names these photos. */
export function jobText(
  job: string,
  facts: readonly Fact[],
  photos: readonly PhotoBytes[],
  written: string,
): string {
  const named = photos.map(({ id, bytes }) => ({ id, sha256: digestOfBytes(bytes) }));
  return jobFileText(jobFileOf(job, facts, named, written));
}

/** The photos of a job, from the server; null where one of them cannot be had just now. */
export async function photosOf(job: string, facts: readonly Fact[]): Promise<PhotoBytes[] | null> {
  const made: PhotoBytes[] = [];
  for (const { id } of deriveJob(facts).photos) {
    const called = await patiently(() => call(getPhoto, { params: { job, photo: id } }));
    if (called.ok) made.push({ id, bytes: new Uint8Array(await called.value.arrayBuffer()) });
    else if (called.status !== 404) return null;
  }
  return made;
}

/** Letters that every system takes in a file's name. */
function fileName(facts: readonly Fact[], job: string): string {
  const { title, unit } = deriveJob(facts);
  const plain = (title || unit?.name || "job")
    .normalize("NFKD")
    .replace(/[^\w]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 50);
  return `${plain || "job"}-${job.slice(0, 8)}`.toLowerCase();
}
