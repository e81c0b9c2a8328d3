import { type Called, call } from "@/contract/call";
import { addFacts, putPhoto } from "@/contract/routes/jobs";
import { type Fact, MOST_FACTS_A_WRITE, readFact } from "@/core";
import { type FactRow, waitingRow } from "./factRow";
import { makeFact } from "./making";
import { tell } from "./news";
import type { PhotoRow, Shelf } from "./shelf";

/** How a sending ended: nothing waits any more, or the server is away and what waits is sent later. */
export type Sent = "sent" | "away";

const LOCK = "odd-lead:outbox";
let turn: Promise<unknown> = Promise.resolve();

/**
 * Sends what waits on this device, job by job in the order made, then photos. One tab at a time: the others wait for
 * their turn and find nothing left. What the server refuses is set aside and holds up nothing behind it.
 *
 * @param by who works on this device: the fact that a photo arrived carries it.
 */
export function sendWaiting(shelf: Shelf, by: string): Promise<Sent> {
  const send = () => sendAll(shelf, by);
  if (typeof navigator !== "undefined" && navigator.locks) return navigator.locks.request(LOCK, send);
  const mine = turn.then(send, send);
  turn = mine;
  return mine;
}

async function sendAll(shelf: Shelf, by: string): Promise<Sent> {
  if ((await sendFacts(shelf)) === "away") return "away";
  const arrived = await sendPhotos(shelf, by);
  return arrived === "away" ? "away" : sendFacts(shelf);
}

async function sendFacts(shelf: Shelf): Promise<Sent> {
  const byJob = new Map<string, FactRow[]>();
  for (const row of await shelf.waiting()) byJob.set(row.job, [...(byJob.get(row.job) ?? []), row]);
  for (const [job, rows] of byJob) if ((await sendJob(shelf, job, rows)) === "away") return "away";
  return "sent";
}

async function sendJob(shelf: Shelf, job: string, rows: readonly FactRow[]): Promise<Sent> {
  // What held together when it was made and cannot be read now is of a newer version of the page: that sends it.
  const facts = rows.flatMap(({ fact }) => {
    const read = readFact(fact);
    return read.ok ? [read.fact] : [];
  });
  const again = new Set(rows.filter((row) => row.again).map(({ id }) => id));
  for (let from = 0; from < facts.length; from += MOST_FACTS_A_WRITE) {
    const sent = await sendBatch(shelf, job, facts.slice(from, from + MOST_FACTS_A_WRITE), again);
    tell({ job });
    if (sent === "away") return "away";
  }
  return "sent";
}

/**
 * Sends facts; of those refused the ones at fault are set aside and the rest is sent again.
 *
 * @param again ids of those that the server had once: refused now, its own word counts, and nobody is asked.
 */
async function sendBatch(
  shelf: Shelf,
  job: string,
  facts: readonly Fact[],
  again: ReadonlySet<string>,
): Promise<Sent> {
  if (facts.length === 0) return "sent";
  const called = await call(addFacts, { params: { job }, body: { facts: [...facts] } });
  if (called.ok) {
    await shelf.mark(
      job,
      facts.map(({ id }) => id),
      "sent",
    );
    return "sent";
  }
  if (called.status === null || called.later) return "away";
  const atFault = faultyPlaces(called, facts.length);
  if (atFault.size === 0) {
    // Nothing tells which: each half on its own.
    const middle = Math.ceil(facts.length / 2);
    const first = await sendBatch(shelf, job, facts.slice(0, middle), again);
    return first === "away" ? "away" : sendBatch(shelf, job, facts.slice(middle), again);
  }
  for (const [place, says] of atFault) {
    const { id } = facts[place] as Fact;
    await shelf.mark(job, [id], again.has(id) ? "kept" : "aside", says);
  }
  return sendBatch(
    shelf,
    job,
    facts.filter((_, place) => !atFault.has(place)),
    again,
  );
}

/** Which facts of a batch the server refused, with why; a batch of one is its own. */
function faultyPlaces(called: Called<unknown> & { ok: false }, count: number): Map<number, string> {
  const places = new Map<number, string>();
  for (const { path, says } of called.problem?.faults ?? []) {
    const [head, place] = path;
    if (head === "facts" && typeof place === "number" && place >= 0 && place < count) places.set(place, says);
  }
  if (places.size === 0 && count === 1) places.set(0, called.says);
  return places;
}

async function sendPhotos(shelf: Shelf, by: string): Promise<Sent> {
  for (const photo of await shelf.photos()) {
    if (photo.says !== undefined) continue;
    if ((await sendPhoto(shelf, photo, by)) === "away") return "away";
  }
  return "sent";
}

async function sendPhoto(shelf: Shelf, photo: PhotoRow, by: string): Promise<Sent> {
  const { id, job, name, type, bytes } = photo;
  const file = new File([bytes], name, { type });
  const called = await call(putPhoto, { params: { job, photo: id }, file });
  if (!called.ok && (called.status === null || called.later)) return "away";
  const wanted = (await shelf.photos()).some((row) => row.id === id);
  // Given up while it was on its way: it is at the server, and no fact tells of it.
  if (!wanted) return "sent";
  if (called.ok || photo.again) {
    if (called.ok && !photo.again) {
      const { widthPx, heightPx } = called.value;
      // Told of twice, where this tab dies in between, it is one photo still.
      const fact = makeFact({ kind: "photo", photo: { id, caption: "", widthPx, heightPx } }, by);
      await shelf.put([waitingRow(job, fact)]);
    }
    // Refused now that the server was set back, its own word counts, and nobody is asked.
    await shelf.photoSent({ id, job, name, type, bytes });
  } else {
    // It stays for a person to decide, and is not sent again by itself.
    await shelf.putPhoto({ ...photo, says: called.says });
  }
  tell({ job });
  return "sent";
}
