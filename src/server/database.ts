import { drizzle, type NodePgDatabase } from "drizzle-orm/node-postgres";
import { Pool } from "pg";
import * as schema from "./schema";

export type Database = NodePgDatabase<typeof schema>;

/** Milliseconds after which a request without a database connection is told that the database is away. */
const CONNECT_TIMEOUT_MS = 4000;

/** What one request may ask of the database; beyond it the database, or this side where it is frozen, gives up. */
const REQUEST_LIMITS = {
  statement_timeout: 15_000,
  lock_timeout: 8_000,
  idle_in_transaction_session_timeout: 15_000,
  query_timeout: 20_000,
};

/**
 * A database handle over a pool of its own; `end` closes the pool.
 *
 * @param limits on what a statement may take; none for migrations, which take what they take.
 */
export function openDatabase(url: string, limits: object = {}): { db: Database; end: () => Promise<void> } {
  const pool = new Pool({
    connectionString: url,
    max: 8,
    connectionTimeoutMillis: CONNECT_TIMEOUT_MS,
    ...limits,
  });
  // An idle connection that the server drops is no fault of ours: the pool makes a new one.
  pool.on("error", () => undefined);
  return { db: drizzle(pool, { schema }), end: () => pool.end() };
}

// Development reloads modules; the pool must outlive them, or each reload would leak one.
const held = globalThis as typeof globalThis & { oddLeadDatabase?: Database; oddLeadLineApart?: Database };

/** The application's database, at DATABASE_URL; opened at the first call. */
export function database(): Database {
  held.oddLeadDatabase ??= openDatabase(addressOfDatabase(), REQUEST_LIMITS).db;
  return held.oddLeadDatabase;
}

/** The same over a connection that nobody else waits for: whether the database answers is asked on it, however much is asked. */
export function databaseApart(): Database {
  held.oddLeadLineApart ??= openDatabase(addressOfDatabase(), { ...REQUEST_LIMITS, max: 1 }).db;
  return held.oddLeadLineApart;
}

function addressOfDatabase(): string {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error("DATABASE_URL is not set; the start script sets it");
  return url;
}
