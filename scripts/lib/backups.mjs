import { randomBytes } from "node:crypto";
import { chmodSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from "node:fs";
import { join } from "node:path";
import { lastLine } from "./cluster.mjs";
import { ensureDatabase, putAside, query } from "./databases.mjs";
import { DATA } from "./project.mjs";
import { capture } from "./run.mjs";
import { Remedy } from "./say.mjs";

/** Where backups are kept: the folder of BACKUPS, or beside the data. */
export const BACKUPS = process.env.BACKUPS || join(DATA, "backups");
/** So many are kept; older ones go. */
const MOST_KEPT = 14;
const NAMED = /^odd-lead-[\d-]+T[\d-]+\.dump$/;

/** The newest backup with its time; null where there is none. */
export function newestBackup(folder = BACKUPS) {
  const [name] = backupsIn(folder);
  return name ? { file: join(folder, name), at: statSync(join(folder, name)).mtime } : null;
}

/** The backups of a folder by their names, the newest first. */
export function backupsIn(folder) {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => NAMED.test(name))
    .sort()
    .reverse();
}

/**
 * Writes a database with its photos to one file, in pg_dump's custom format, and proves it by restoring it into a scratch
 * database: every table must hold as many rows as the dump was made from. Only then has the file its name.
 */
export async function backUp({ programs, adminUrl, url }, database, folder = BACKUPS, now = new Date()) {
  needed(programs, "pg_dump");
  // All that a shop entered is in it: nobody else's to read.
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const name = `odd-lead-${now.toISOString().slice(0, 19).replaceAll(":", "-")}.dump`;
  const unfinished = join(folder, `.unfinished-${randomBytes(4).toString("hex")}`);
  try {
    const dumped = capture(join(programs, "pg_dump"), ["-Fc", "-f", unfinished, "-d", url(database)]);
    if (dumped.status !== 0) throw new Remedy(`The backup failed: ${lastLine(dumped.err)}`);
    const scratch = `odd_lead_scratch_${randomBytes(4).toString("hex")}`;
    try {
      await restoreInto({ programs, adminUrl, url }, unfinished, scratch);
      const [before, after] = [await rowCounts(url(database)), await rowCounts(url(scratch))];
      // What was written while the dump ran is in the database and not in the dump: no table may have fewer rows than that.
      for (const [table, rows] of Object.entries(after))
        if (rows > (before[table] ?? 0))
          throw new Error(`the backup has rows of ${table} that were never there`);
      for (const table of Object.keys(before))
        if (!(table in after)) throw new Error(`the backup lacks the table ${table}`);
    } finally {
      await query(adminUrl, `drop database if exists "${scratch}" with (force)`);
    }
    chmodSync(unfinished, 0o600);
    renameSync(unfinished, join(folder, name));
  } finally {
    rmSync(unfinished, { force: true });
  }
  for (const old of backupsIn(folder).slice(MOST_KEPT)) rmSync(join(folder, old));
  return join(folder, name);
}

/** Puts a backup in the place of a database; what was there is put aside. Gives the name under which it stands now. */
export async function restore({ programs, adminUrl, url }, file, database) {
  needed(programs, "pg_restore");
  if (!existsSync(file)) throw new Remedy(`There is no file ${file}.`);
  const fresh = `odd_lead_restored_${randomBytes(4).toString("hex")}`;
  try {
    await restoreInto({ programs, adminUrl, url }, file, fresh);
    if (!("public.facts" in (await rowCounts(url(fresh)))))
      throw new Remedy(`${file} is a database, but none of Odd Lead; nothing was changed.`);
  } catch (error) {
    await query(adminUrl, `drop database if exists "${fresh}" with (force)`);
    throw error;
  }
  await setBack(url(fresh));
  const aside = await putAside(adminUrl, database);
  await query(adminUrl, `alter database "${fresh}" rename to "${database}"`);
  return aside;
}

/**
 * Gives the restored history another name: devices that have seen more send it again. A backup from before histories had
 * names gets its own when it is next migrated, and no device knows that one.
 */
async function setBack(url) {
  const [named] = await query(url, "select 1 from pg_tables where tablename = 'histories'");
  if (named) await query(url, "update histories set latest = gen_random_uuid()");
}

async function restoreInto({ programs, adminUrl, url }, file, name) {
  await ensureDatabase(adminUrl, name);
  const words = ["--no-owner", "--exit-on-error", "-d", url(name), file];
  const done = capture(join(programs, "pg_restore"), words);
  if (done.status !== 0)
    throw new Remedy(`${file} cannot be restored: ${lastLine(done.err)} Nothing was changed.`);
}

/** Rows of every table of ours, counted. */
async function rowCounts(url) {
  const tables = await query(
    url,
    "select schemaname, tablename from pg_tables where schemaname not in ('pg_catalog', 'information_schema')",
  );
  const counts = {};
  for (const { schemaname, tablename } of tables) {
    const [{ rows }] = await query(url, `select count(*)::int as rows from "${schemaname}"."${tablename}"`);
    counts[`${schemaname}.${tablename}`] = rows;
  }
  return counts;
}

function needed(programs, program) {
  if (!programs || !existsSync(join(programs, program)))
    throw new Remedy(
      `${program} is not installed here; install PostgreSQL's client programs, and try again.`,
    );
}
