/** Brings the database at DATABASE_URL to the newest schema and puts the demo jobs in. */
import { openDatabase } from "../src/server/database";
import { bringSummariesUp, weighStatuses } from "../src/server/jobSummaries";
import { migrateDatabase, oneAtATime } from "../src/server/migrate";
import { seedDemo } from "../src/server/seedDemo";
import { bringFiguresUp, countUsesAnew } from "../src/server/stockFigures";

async function prepare(): Promise<void> {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error("DATABASE_URL is not set");
  const { db, end } = openDatabase(url);
  try {
    await oneAtATime(db, async () => {
      await migrateDatabase(db);
      if (!process.argv.includes("--no-demo")) await seedDemo(db);
      await bringSummariesUp(db);
      await weighStatuses(db);
      await bringFiguresUp(db);
      await countUsesAnew(db);
    });
  } finally {
    await end();
  }
}

prepare().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exitCode = 1;
});
