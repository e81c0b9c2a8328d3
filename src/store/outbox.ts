import { openShelf } from "./openShelf";
import { sendWaiting } from "./sending";

/** Jobs with something that the server has not got yet: facts or photos. */
export async function jobsWaiting(): Promise<string[]> {
  const shelf = await openShelf();
  const [facts, photos] = await Promise.all([shelf.waiting(), shelf.photos()]);
  const sending = photos.filter(({ says }) => says === undefined);
  return [...new Set([...facts, ...sending].map(({ job }) => job))];
}

/** Sends all of it, from any page. */
export async function sendAll(by: string): Promise<void> {
  await sendWaiting(await openShelf(), by);
}
