import { Pool } from "pg";
import {
  type RateLimiterAbstract,
  RateLimiterMemory,
  RateLimiterPostgres,
  RLWrapperTimeouts,
} from "rate-limiter-flexible";

/** So many points of a key within so many seconds, counted from its first. */
export interface Limit {
  /** Keeps it apart from other limits. */
  readonly name: string;
  readonly points: number;
  readonly seconds: number;
}

/** The table of the migrations that all processes count in. */
const TABLE = "limits";
/** Where the database does not answer sooner, each process counts for itself: nobody waits for a limit. */
const PATIENCE_MS = 250;

// Of its own, so that a limit is not waited for behind the queries that it limits; development reloads modules.
const held = globalThis as typeof globalThis & { oddLeadLimits?: Pool };

/** Counts in the database at DATABASE_URL, for all processes behind it; without one, or while it is away, in this process. */
export function sharedLimiter({ name, points, seconds }: Limit): RateLimiterAbstract {
  const alone = new RateLimiterMemory({ keyPrefix: name, points, duration: seconds });
  const connectionString = process.env.DATABASE_URL;
  if (!connectionString) return alone;
  held.oddLeadLimits ??= poolOf(connectionString);
  const limiter = new RateLimiterPostgres({
    storeClient: held.oddLeadLimits,
    storeType: "pool",
    tableName: TABLE,
    tableCreated: true,
    keyPrefix: name,
    points,
    duration: seconds,
  });
  return new RLWrapperTimeouts({ limiter, timeoutMs: PATIENCE_MS, insuranceLimiter: alone });
}

function poolOf(connectionString: string): Pool {
  const pool = new Pool({ connectionString, max: 2, connectionTimeoutMillis: PATIENCE_MS });
  // An idle connection that the server drops is no fault of ours: the pool makes a new one.
  pool.on("error", () => undefined);
  return pool;
}
