import { JOURNAL_PREFIXES } from "./journalPrefixes";

/**
 * Whether this device keeps something that the server has not got. Light on purpose, the browser's own calls alone: the
 * first page asks it, and brings the store only where there is something to send.
 */
export async function anythingWaiting(): Promise<boolean> {
  try {
    const keys = Object.keys(localStorage);
    if (keys.some((key) => JOURNAL_PREFIXES.some((prefix) => key.startsWith(prefix)))) return true;
    const there = await indexedDB.databases();
    if (!there.some(({ name }) => name === DATABASE_NAME)) return false;
    const database = await settled(indexedDB.open(DATABASE_NAME));
    try {
      const reading = database.transaction(["facts", "sending"]);
      const facts = settled(reading.objectStore("facts").index("standing").count("waiting"));
      const photos = settled(reading.objectStore("sending").count());
      return (await facts) + (await photos) > 0;
    } finally {
      database.close();
    }
  } catch {
    // What cannot be looked into keeps nothing.
    return false;
  }
}

/** The name of this device's database. */
export const DATABASE_NAME = "odd-lead";

function settled<T>(request: IDBRequest<T>): Promise<T> {
  return new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error);
  });
}
