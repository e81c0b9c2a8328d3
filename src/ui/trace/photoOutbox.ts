import { createStore, del, entries, set, type UseStore } from "idb-keyval";

/**
 * Photos that the server has not got yet, kept in this browser's database from the moment they are taken: a lost signal,
 * another stage or a killed tab loses none. A browser that keeps nothing goes on without: the photo then lives as long as
 * the page.
 */

/** A photo on its way. */
export interface WaitingPhoto {
  readonly id: string;
  readonly file: File;
}

interface Kept {
  readonly job: string;
  readonly name: string;
  readonly type: string;
  readonly bytes: ArrayBuffer;
}

let store: UseStore | null = null;

function opened(): UseStore {
  store ??= createStore("odd-lead-photos", "waiting");
  return store;
}

/** Keeps a photo until it is sent; false where the browser keeps nothing. */
export async function keepPhoto(job: string, { id, file }: WaitingPhoto): Promise<boolean> {
  try {
    const kept: Kept = { job, name: file.name, type: file.type, bytes: await file.arrayBuffer() };
    await set(id, kept, opened());
    return true;
  } catch {
    return false;
  }
}

/** The server has it, or nobody wants it. */
export async function dropPhoto(id: string): Promise<void> {
  try {
    await del(id, opened());
  } catch {
    return;
  }
}

/** What waits for a job. */
export async function waitingPhotos(job: string): Promise<WaitingPhoto[]> {
  try {
    const all = await entries<string, Kept>(opened());
    return all.flatMap(([id, kept]) =>
      kept.job === job ? [{ id, file: new File([kept.bytes], kept.name, { type: kept.type }) }] : [],
    );
  } catch {
    return [];
  }
}
