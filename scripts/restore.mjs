/** npm run restore [-- file]: a backup in the place of what is there, which is put aside. The newest where none is named. */
import { newestBackup, restore } from "./lib/backups.mjs";
import { DATABASE } from "./lib/databases.mjs";
import { others } from "./lib/instances.mjs";
import { ensurePostgres } from "./lib/postgres.mjs";
import { ensureData } from "./lib/project.mjs";
import { fail, Remedy, say } from "./lib/say.mjs";

async function run() {
  const file = process.argv[2] ?? newestBackup()?.file;
  if (!file) throw new Remedy("There is no backup; name the file: npm run restore -- path/to/file.dump");
  const [running] = others();
  if (running)
    throw new Remedy(
      `Odd Lead runs from this checkout (process ${running.pid}); stop it first, then restore.`,
    );
  ensureData();
  const postgres = await ensurePostgres();
  try {
    if (!postgres.own)
      throw new Remedy(
        "DATABASE_URL names a server of your own; restore there with pg_restore, as docs/operations.md says.",
      );
    const aside = await restore(postgres, file, DATABASE);
    say(`Restored ${file}.${aside ? ` What was there is put aside as the database ${aside}.` : ""}`);
  } finally {
    if (postgres.own) postgres.stop();
  }
}

run().catch(fail);
