import type { Called } from "@/contract/call";

/** The server may be busy, or have had enough of this address for a moment: it is asked again a few times. */
const TRIES = 6;
const WAIT_MS = 2000;
/** Between the requests of a long list: fewer a second than the server lets an address make, with room for its pages. */
const PACE_MS = 30;
/** A list this long is long. */
export const LONG_LIST = 60;

/** Asks again where asking again may help; gives up on anything else at once. */
export async function patiently<T>(ask: () => Promise<Called<T>>): Promise<Called<T>> {
  let called = await ask();
  for (let again = 1; again < TRIES && !called.ok && (called.later || called.status === 429); again++) {
    await pause(WAIT_MS * again);
    called = await ask();
  }
  return called;
}

/** Leaves the server room between two requests of a long list. */
export async function paced(length: number): Promise<void> {
  if (length > LONG_LIST) await pause(PACE_MS);
}

function pause(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms));
}
