import { randomBytes } from "node:crypto";
import { Agent } from "node:http";
import { Worker } from "node:worker_threads";
import { createProxyServer } from "httpxy";
import { refuse } from "./asked.mjs";
import { say } from "./say.mjs";

/** A thread that ends sooner than this after its start is not started again at once. */
const SHORT_LIVED_MS = 5000;
const THREAD = new URL("./pagesThread.mjs", import.meta.url);
/** A thread that is not heard of for so long hangs: no page takes a hundredth of it. */
const HANGS_AFTER_MS = 30_000;
/** How often it is looked in that time; a machine that slept misses one look, not all of them. */
const LOOKS = 6;
/** Under this name the thread is told that it is this process that asks. */
const INSIDE = "x-odd-lead-inside";

/**
 * Has the framework make its pages in a thread beside this one, so that nobody who asks the routes waits for a page: making
 * one holds its thread for tens of milliseconds. A thread that ends is started again, and one that hangs is ended.
 *
 * @param thread the script that it runs: it listens on loopback, tells where, and is heard of again and again from then on.
 * @returns what hands a request on to it and gives back its answer.
 * @throws where the first thread does not begin.
 */
export async function pagesBeside({ host, port, thread = THREAD, hangsAfterMs = HANGS_AFTER_MS }) {
  const word = randomBytes(32).toString("hex");
  const agent = new Agent({ keepAlive: true });
  const proxy = createProxyServer({ agent, headers: { [INSIDE]: word } });
  let target = null;
  const begin = async () => {
    const began = Date.now();
    const worker = new Worker(thread, { workerData: { host, port, inside: [INSIDE, word] } });
    const listensAt = await begun(worker);
    // From here on whoever serves says how long it runs.
    worker.unref();
    target = { host: "127.0.0.1", port: listensAt };
    worker.on("error", (error) => console.error(error));
    const stopWatching = endIfSilent(worker, hangsAfterMs);
    worker.once("exit", (code) => {
      stopWatching();
      target = null;
      say(`The thread that makes the pages ended (${code}) and is started again.`);
      setTimeout(again, Math.max(0, began + SHORT_LIVED_MS - Date.now()));
    });
  };
  const again = () =>
    begin().catch((error) => {
      console.error(error);
      setTimeout(again, SHORT_LIVED_MS);
    });
  await begin();
  return (request, response) => {
    if (!target) return refuse(response, AWAY);
    proxy.web(request, response, { target }).catch(() => {
      if (response.headersSent) response.destroy();
      else refuse(response, AWAY);
    });
  };
}

const AWAY = { status: 503, title: "The pages are being started again; ask in a few seconds." };

/** The port at which a thread listens, once it does. */
function begun(worker) {
  return new Promise((resolve, reject) => {
    worker.once("message", resolve);
    worker.once("error", reject);
    worker.once("exit", (code) =>
      reject(new Error(`the thread of the pages ended (${code}) before it began`)),
    );
  });
}

/** Ends a thread that is not heard of for so long; gives the way to stop looking. */
function endIfSilent(worker, hangsAfterMs) {
  let silent = 0;
  worker.on("message", () => {
    silent = 0;
  });
  const watch = setInterval(() => {
    silent += 1;
    if (silent <= LOOKS) return;
    say(`The thread that makes the pages was silent for ${hangsAfterMs / 1000} s and is ended.`);
    void worker.terminate();
  }, hangsAfterMs / LOOKS);
  watch.unref();
  return () => clearInterval(watch);
}
