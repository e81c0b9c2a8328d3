/**
 * npm start: from a bare checkout to the running application with demo data. See README.md.
 * `npm start -- --fresh` begins with an empty database. PORT, HOST and DATABASE_URL are honoured.
 */
import { applicationAddress, applicationUrl } from "./lib/applicationRole.mjs";
import { newestBackup } from "./lib/backups.mjs";
import { DATABASE, ensureDatabase, prepareDatabase, putAside, query } from "./lib/databases.mjs";
import { enter, others } from "./lib/instances.mjs";
import { backUpNightly } from "./lib/nightly.mjs";
import { oneAtATime } from "./lib/oneAtATime.mjs";
import { ensurePostgres, freePort } from "./lib/postgres.mjs";
import { processCount, serveBy } from "./lib/processes.mjs";
import { checkNode, ensureBuild, ensureData, ensurePackages, isBuilt } from "./lib/project.mjs";
import { fail, Remedy, say } from "./lib/say.mjs";
import { stepDown } from "./lib/stepDown.mjs";

const FIRST_PORT = 3000;
/** How often it is looked whether the database still runs. */
const WATCH_MS = 3000;

async function start() {
  const fresh = process.argv.includes("--fresh");
  checkNode();
  const processes = processCount();
  const stopBackups = backUpNightly();
  ensureData();
  await oneAtATime("making-ready", () => makeReady(fresh));
  const leave = enter("start");
  const postgres = await ensurePostgres().catch((error) => {
    leave();
    throw error;
  });
  let serving = null;
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    clearInterval(watch);
    stopBackups();
    await serving?.stop();
    leave();
    if (postgres.own && others().length === 0) postgres.stop();
    process.exit(0);
  };
  for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"]) process.on(signal, () => void stop());
  let lastSaid = "";
  const watch = setInterval(() => {
    const said = postgres.again();
    if (said !== "" && said !== lastSaid) say(said);
    lastSaid = said;
  }, WATCH_MS);
  try {
    const url = await oneAtATime("database", () => database(postgres, fresh));
    const ready = prepareDatabase(url).then(() => (postgres.own ? applicationUrl(url) : url));
    // Its fault is told where it is waited for.
    ready.catch(() => undefined);
    const served = postgres.own ? applicationAddress(url) : url;
    const host = process.env.HOST || "127.0.0.1";
    const port = await chosenPort();
    // Free when it was looked at, it may be somebody else's by the time the server is up.
    const orNext = !process.env.PORT;
    serving = await serveBy(processes, { url: served, host, port, orNext, ownDatabase: postgres.own, ready });
    if (!isLoopback(host))
      say(
        `Anyone who reaches ${host} can read and change everything: there is no sign-in yet. Leave HOST out to serve this machine alone.`,
      );
    stepDown(postgres.own);
    say(lastBackup());
    say(`Odd Lead runs at http://${host}:${serving.port}`);
  } catch (error) {
    leave();
    if (postgres.own && others().length === 0) postgres.stop();
    throw error;
  }
}

/** Packages and the production build, none of it under the feet of a server that runs. */
async function makeReady(fresh) {
  await ensurePackages();
  const [neighbour] = others();
  if (neighbour && (fresh || !isBuilt())) {
    const why = fresh ? "begin anew" : "build the changed sources";
    throw new Remedy(
      `Odd Lead already runs from this checkout (process ${neighbour.pid}); stop it first to ${why}.`,
    );
  }
  await ensureBuild();
}

/** Our own database on our own cluster; the very database of DATABASE_URL on a server that was given. */
async function database(postgres, fresh) {
  if (postgres.own) {
    const aside = fresh ? await putAside(postgres.adminUrl, DATABASE) : null;
    if (aside) say(`What was entered is put aside as the database ${aside}.`);
    await ensureDatabase(postgres.adminUrl, DATABASE);
    return postgres.url(DATABASE);
  }
  if (fresh) {
    throw new Remedy(
      "--fresh would empty the database that DATABASE_URL names, which may not be ours alone; empty it by hand.",
    );
  }
  await query(postgres.adminUrl, "select 1");
  return postgres.adminUrl;
}

/** When the last backup was made, in a sentence. */
function lastBackup() {
  const newest = newestBackup();
  if (!newest) return "There is no backup yet; `npm run backup` makes one, BACKUP_AT=03:30 one every night.";
  const hours = Math.round((Date.now() - newest.at.getTime()) / 3_600_000);
  return `The last backup was made ${hours < 48 ? `${hours} h` : `${Math.round(hours / 24)} days`} ago: ${newest.file}`;
}

function isLoopback(host) {
  return host === "localhost" || host === "::1" || /^127\./.test(host);
}

async function chosenPort() {
  const wanted = process.env.PORT;
  if (wanted === undefined || wanted === "") return freePort(FIRST_PORT);
  const port = Number(wanted);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Remedy(`PORT is “${wanted}”; give a number from 1 to 65535.`);
  if ((await freePort(port)) !== port)
    throw new Remedy(`Port ${port} is taken; give another PORT, or none to have one chosen.`);
  return port;
}

start().catch(fail);
