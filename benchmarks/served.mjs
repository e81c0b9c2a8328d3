/** The production server on a database of its own, for as long as something is measured on it. */
import { spawn } from "node:child_process";
import { ensureDatabase, prepareDatabase } from "../scripts/lib/databases.mjs";
import { enter, others } from "../scripts/lib/instances.mjs";
import { ensurePostgres, freePort } from "../scripts/lib/postgres.mjs";
import { checkNode, ensureBuild, ensureData, ensurePackages, ROOT } from "../scripts/lib/project.mjs";

/** Starts it, hands over its address and its database's, and takes both away again. */
export async function served(database, measure, { processes = 1 } = {}) {
  checkNode();
  ensureData();
  await ensurePackages();
  await ensureBuild();
  const postgres = await ensurePostgres();
  const leave = enter("bench");
  const url = postgres.url(database);
  await ensureDatabase(postgres.adminUrl, database, { drop: true });
  await prepareDatabase(url);
  const port = await freePort(4500);
  const base = `http://127.0.0.1:${port}`;
  const server = spawn("node", ["scripts/serve.mjs"], {
    cwd: ROOT,
    env: { ...process.env, DATABASE_URL: url, PORT: String(port), PROCESSES: String(processes) },
    stdio: ["ignore", "ignore", "inherit"],
  });
  try {
    await answers(base);
    return await measure({ base, url, pid: server.pid, log: postgres.log });
  } finally {
    server.kill("SIGKILL");
    await ensureDatabase(postgres.adminUrl, database, { drop: true });
    leave();
    if (postgres.own && others().length === 0) postgres.stop();
  }
}

async function answers(base) {
  for (let tries = 0; tries < 240; tries++) {
    const ok = await fetch(`${base}/api/health`).then(
      (response) => response.ok,
      () => false,
    );
    if (ok) return;
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  throw new Error(`${base} does not answer`);
}
