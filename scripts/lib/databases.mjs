import { join } from "node:path";
import { bin, isBuilt, PREPARING, ROOT } from "./project.mjs";
import { collected } from "./run.mjs";
import { Remedy } from "./say.mjs";

/** The application's database on a cluster of our own. */
export const DATABASE = "odd_lead";

/** Runs statements on a server, each on its own; gives the rows of the last. */
export async function query(url, ...statements) {
  const { default: pg } = await import("pg");
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 8000 });
  try {
    await client.connect();
  } catch (error) {
    throw new Remedy(
      `The database at ${redacted(url)} cannot be reached (${error.message}); start it or mend DATABASE_URL, and try again.`,
    );
  }
  try {
    let rows = [];
    for (const statement of statements) rows = (await client.query(statement)).rows;
    return rows;
  } finally {
    await client.end();
  }
}

/** Puts a database aside under its name with the time, and gives that name; null where there is none. */
export async function putAside(adminUrl, name, now = new Date()) {
  const [found] = await query(adminUrl, `select 1 from pg_database where datname = '${name}'`);
  if (!found) return null;
  const aside = `${name}_${now.toISOString().slice(0, 19).replace(/\D/g, "_")}`;
  await query(
    adminUrl,
    `select pg_terminate_backend(pid) from pg_stat_activity where datname = '${name}' and pid <> pg_backend_pid()`,
    `alter database "${name}" rename to "${aside}"`,
  );
  return aside;
}

/** Makes a database where it is missing; `drop` makes it anew. Names are our own, never a user's. */
export async function ensureDatabase(adminUrl, name, { drop = false, template = "template0" } = {}) {
  if (drop) await query(adminUrl, `drop database if exists "${name}" with (force)`);
  const [found] = await query(adminUrl, `select 1 from pg_database where datname = '${name}'`);
  if (!found) await query(adminUrl, `create database "${name}" template "${template}"`);
}

/** Migrates the database at the URL and, unless told not to, puts the demo jobs in. */
export async function prepareDatabase(url, { demo = true } = {}) {
  const source = join(ROOT, "scripts", "prepare-database.ts");
  const [program, script] = isBuilt() ? [process.execPath, PREPARING] : [bin("tsx"), source];
  const { status, said } = await collected(program, [script, ...(demo ? [] : ["--no-demo"])], {
    cwd: ROOT,
    env: { ...process.env, DATABASE_URL: url },
  });
  if (status !== 0) throw new Error(`the database could not be prepared:\n${said}`);
}

function redacted(url) {
  return url.replace(/\/\/([^:@/]*):[^@]*@/, "//$1:…@");
}
