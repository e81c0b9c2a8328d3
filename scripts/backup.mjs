/** npm run backup: one file with everything that was entered, photos included, proved by restoring it. */
import { backUp } from "./lib/backups.mjs";
import { DATABASE } from "./lib/databases.mjs";
import { others } from "./lib/instances.mjs";
import { ensurePostgres } from "./lib/postgres.mjs";
import { ensureData } from "./lib/project.mjs";
import { fail, say } from "./lib/say.mjs";

async function backup() {
  ensureData();
  const postgres = await ensurePostgres();
  try {
    const database = postgres.own ? DATABASE : new URL(postgres.adminUrl).pathname.slice(1);
    say(`Backed up and proved: ${await backUp(postgres, database)}`);
  } finally {
    if (postgres.own && others().length === 0) postgres.stop();
  }
}

backup().catch(fail);
