import type { Database } from "./database";
import { Gathered } from "./gathered";
import { type Write, writeFacts } from "./writeFacts";

/** So many writes go together at most. */
const MOST_TOGETHER = 32;

const made = new WeakMap<Database, Gathered<Write, boolean>>();

/**
 * What this process writes to a database that is open, gathered; each is answered with whether it holds: where somebody else
 * wrote to the job meanwhile, nothing was kept.
 */
export function gatheredWrites(db: Database): Gathered<Write, boolean> {
  const gathered = made.get(db) ?? gatheredTo(db);
  made.set(db, gathered);
  return gathered;
}

function gatheredTo(db: Database): Gathered<Write, boolean> {
  const send = async (writes: readonly Write[]) => {
    const holding = await writeFacts(db, writes);
    return writes.map(({ as }) => holding.has(as));
  };
  // To each job one: what follows it knows of another last write.
  return new Gathered(send, {
    most: MOST_TOGETHER,
    keyOf: ({ shopId, jobId }) => `${shopId} ${jobId}`,
  });
}
