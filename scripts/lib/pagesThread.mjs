import { createServer } from "node:http";
import { parentPort, workerData } from "node:worker_threads";
import { constants } from "node:zlib";
import compression from "compression";
import next from "next";
import { ROOT } from "./project.mjs";

/** The thread that makes the pages; lib/pages.mjs starts it, and alone is answered. */

/** A page is an eighth smaller than gzip makes it, in 2 ms more; tighter takes ten times as long. */
const PAGE_QUALITY = 5;
/** So often it lets itself be heard of: one that hangs does not. */
const HEARD_EVERY_MS = 1000;

const { host, port, inside } = workerData;
const [name, word] = inside;
const app = next({ dev: false, dir: ROOT, hostname: host, port });
await app.prepare();
const handle = app.getRequestHandler();
const compress = compression({ brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: PAGE_QUALITY } } });
const server = createServer((request, response) => {
  if (request.headers[name] === word) compress(request, response, () => void handle(request, response));
  else request.socket.destroy();
});
// The lines are kept by who asks: one that ends while it is asked on would fail that asking.
server.keepAliveTimeout = 0;
server.listen({ port: 0, host: "127.0.0.1", exclusive: true }, () => {
  parentPort.postMessage(server.address().port);
  setInterval(() => parentPort.postMessage("runs"), HEARD_EVERY_MS).unref();
});
