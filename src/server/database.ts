import { drizzle, type NodePgDatabase } from "drizzle-orm/node-postgres";
import { Pool } from "pg";
import * as schema from "./schema";

export type Database = NodePgDatabase<typeof schema>;

/** Milliseconds after which a request without a database connection is told that the database is away. */
const CONNECT_TIMEOUT_MS = 4000;

/** A database handle over a pool of its own; `end` closes the pool. */
export function openDatabase(url: string): { db: Database; end: () => Promise<void> } {
  const pool = new Pool({ connectionString: url, max: 8, connectionTimeoutMillis: CONNECT_TIMEOUT_MS });
  // An idle connection that the server drops is no fault of ours: the pool makes a new one.
  pool.on("error", () => undefined);
  return { db: drizzle(pool, { schema }), end: () => pool.end() };
}

// Development reloads modules; the pool must outlive them, or each reload would leak one.
const held = globalThis as typeof globalThis & { oddLeadDatabase?: Database };

/** The application's database, at DATABASE_URL; opened at the first call. */
export function database(): Database {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error("DATABASE_URL is not set; the start script sets it");
  held.oddLeadDatabase ??= openDatabase(url).db;
  return held.oddLeadDatabase;
}
