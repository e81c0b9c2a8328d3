import { sql } from "drizzle-orm";
import { migrate } from "drizzle-orm/node-postgres/migrator";
import type { Database } from "./database";

/** Any number, the same for every process that migrates. */
const MIGRATION_LOCK = 5_203_114;

/** A lock of its own beside the migrations', which take theirs inside. */
const PREPARING_LOCK = 5_203_115;

/** Does what prepares a database, migrations and demo data, one process at a time. */
export async function oneAtATime(db: Database, prepare: () => Promise<void>): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(${PREPARING_LOCK})`);
    await prepare();
  });
}

/** Brings the database to the newest schema. Processes that start together take turns under an advisory lock. */
export async function migrateDatabase(db: Database, folder = "src/server/migrations"): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(${MIGRATION_LOCK})`);
    await migrate(tx as unknown as Database, { migrationsFolder: folder });
  });
}
