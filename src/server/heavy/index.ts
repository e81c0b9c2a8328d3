import { availableParallelism } from "node:os";
import { Worker } from "node:worker_threads";
import { sharedLimiter } from "../limits/sharedLimiter";
import { log } from "../log";
import { Problem } from "../problem";
import { clientOf } from "../rateLimit";
import { LONGEST_WORK_MS, SHARE, Shares } from "./share";
import { isAbandoned, isTooLong, Threads } from "./threads";
import type { Works } from "./work";

const LIMITS = {
  threads: Math.max(2, availableParallelism() - 1),
  waiting: 256,
  waitingOfOne: 128,
  workMs: LONGEST_WORK_MS,
  loadMs: 30_000,
};
const MOST_MEGABYTES = 768;

/** The start script names the file that the build made of a thread's work; else it is whoever bundles this that has it. */
function aThread(): Worker {
  const options = { resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES } };
  const file = process.env.ODD_LEAD_WORK;
  return file ? new Worker(file, options) : new Worker(new URL("./work.worker.ts", import.meta.url), options);
}

/** Kept on the process, not the module: each route may be built with a copy of this file. */
const kept = globalThis as typeof globalThis & { oddLeadHeavy?: { threads: Threads; shares: Shares } };

function heavy() {
  kept.oddLeadHeavy ??= {
    threads: new Threads(aThread, LIMITS),
    shares: new Shares(sharedLimiter(SHARE)),
  };
  return kept.oddLeadHeavy;
}

/**
 * Works something out in a thread for the house itself, not for a caller.
 *
 * @param account whose turn it takes.
 * @throws QueueFull, TooLong, or what the work threw
 */
export function inThread<K extends keyof Works>(
  account: string,
  what: K,
  ...given: Parameters<Works[K]>
): Promise<unknown> {
  return heavy().threads.run({ account, what, given });
}

/**
 * Works something out in a thread of its own, so that the server answers everybody else meanwhile.
 *
 * @returns a problem where this address has used up its share, or where it took too long
 * @throws QueueFull, or what the work threw
 */
export async function workedOut<K extends keyof Works>(
  request: Request,
  what: K,
  ...given: Parameters<Works[K]>
): Promise<Awaited<ReturnType<Works[K]>> | Problem> {
  const { threads, shares } = heavy();
  const account = clientOf(request);
  const waitMs = await shares.waitMs(account);
  if (waitMs > 0) {
    const seconds = Math.ceil(waitMs / 1000);
    const words = `This address has used its share of the server’s computing; ask again in ${seconds} s.`;
    return new Problem(429, words, {}, { "retry-after": String(seconds) });
  }
  try {
    const wanted = { account, what, given, signal: request.signal };
    const value = await threads.run(wanted, (ms) => {
      shares
        .pay(account, ms)
        .catch((error: unknown) => log.warn({ err: error }, "a share could not be paid"));
    });
    return value as Awaited<ReturnType<Works[K]>>;
  } catch (error) {
    if (isTooLong(error))
      return new Problem(503, `That took longer than ${error.limitMs / 1000} s to work out and was stopped.`);
    if (isAbandoned(error)) return new Problem(503, "Nobody waited for the answer.");
    throw error;
  }
}
