import cluster from "node:cluster";
import { join } from "node:path";
import { DRAIN_MS, drained } from "./drained.mjs";
import { ROOT } from "./project.mjs";
import { Remedy, say } from "./say.mjs";
import { serve } from "./serve.mjs";

/** One that ends sooner than this after its start is not started again at once. */
const SHORT_LIVED_MS = 5000;
const MOST_PROCESSES = 64;

/** How many processes are to serve, as PROCESSES says. */
export function processCount(wanted = process.env.PROCESSES) {
  if (wanted === undefined || wanted === "") return 1;
  const count = Number(wanted);
  if (!Number.isInteger(count) || count < 1 || count > MOST_PROCESSES)
    throw new Remedy(`PROCESSES is “${wanted}”; give a number from 1 to ${MOST_PROCESSES}.`);
  return count;
}

/**
 * Serves the production build: one process is this one; several are children that share the port and end with this one,
 * each started again should it end by itself.
 *
 * @param ownDatabase given where children are to give up root, as stepDown takes it.
 * @param ready is waited for before anybody is listened to.
 * @returns {Promise<{ port: number, stop: () => Promise<void> }>}
 */
export async function serveBy(count, { url, host, port, orNext, ownDatabase, ready }) {
  if (count === 1) {
    const server = await serve({ url, host, port, orNext, ready });
    return { port: server.address().port, stop: () => drained(server) };
  }
  await ready;
  cluster.setupPrimary({ exec: join(ROOT, "scripts", "serveOne.mjs") });
  const env = {
    DATABASE_URL: url,
    HOST: host,
    PORT: String(port),
    // What a child gives up root for; nothing where it is to stay who it is.
    DATABASE_RUN_BY: ownDatabase === undefined ? "" : ownDatabase ? "us" : "others",
  };
  let stopping = false;
  const born = () => {
    const child = cluster.fork(env);
    const since = Date.now();
    child.on("exit", (code, signal) => {
      if (stopping || code === TAKEN) return;
      say(`A process that served ended (${signal ?? code}) and is started again.`);
      setTimeout(() => !stopping && born(), Math.max(0, since + SHORT_LIVED_MS - Date.now()));
    });
    return child;
  };
  const first = born();
  await listening(first, port);
  // The others begin when the first has shown that the port is ours.
  await Promise.all(Array.from({ length: count - 1 }, () => listening(born(), port)));
  const stop = async () => {
    stopping = true;
    const all = Object.values(cluster.workers ?? {});
    const gone = all.map((child) => new Promise((resolve) => child.once("exit", resolve)));
    const end = (signal) => {
      for (const child of all) child.process.kill(signal);
    };
    end("SIGTERM");
    const late = setTimeout(end, DRAIN_MS + 2000, "SIGKILL");
    await Promise.all(gone);
    clearTimeout(late);
  };
  return { port, stop };
}

/** With this a child tells that its port was taken. */
export const TAKEN = 98;

function listening(child, port) {
  return new Promise((resolve, reject) => {
    child.once("listening", resolve);
    child.once("exit", (code) =>
      reject(
        code === TAKEN
          ? new Remedy(`Port ${port} is taken; give another PORT, or none to have one chosen.`)
          : new Error("a process that was to serve ended before it did"),
      ),
    );
  });
}
