/** npm run dev: the application with reloading, on the same database as npm start. */
import { ensureDatabase, prepareDatabase } from "./lib/databases.mjs";
import { enter, others } from "./lib/instances.mjs";
import { oneAtATime } from "./lib/oneAtATime.mjs";
import { ensurePostgres, freePort } from "./lib/postgres.mjs";
import { bin, checkNode, ensureData, ensurePackages, ROOT } from "./lib/project.mjs";
import { show } from "./lib/run.mjs";
import { fail } from "./lib/say.mjs";

async function dev() {
  checkNode();
  ensureData();
  await oneAtATime("making-ready", () => ensurePackages({ development: true }));
  const postgres = await ensurePostgres();
  const leave = enter("dev");
  if (postgres.own) await ensureDatabase(postgres.adminUrl, "odd_lead");
  const url = postgres.own ? postgres.url("odd_lead") : postgres.adminUrl;
  await prepareDatabase(url);
  process.on("SIGINT", () => undefined);
  const port = await freePort(Number(process.env.PORT) || 3000);
  const env = { ...process.env, DATABASE_URL: url, NEXT_TELEMETRY_DISABLED: "1" };
  await show(bin("next"), ["dev", "-H", "127.0.0.1", "-p", String(port)], { cwd: ROOT, env });
  leave();
  if (postgres.own && others().length === 0) postgres.stop();
}

dev().catch(fail);
