import { createServer } from "node:http";
import { refusalOf, refuse } from "./asked.mjs";
import { BACKUPS } from "./backups.mjs";
import { allowedHosts, foreign, OWN_HEADERS } from "./ownPage.mjs";
import { packedAnswers } from "./packed.mjs";
import { DIRECT, STATIC, WORK } from "./project.mjs";

/** Ports looked through where the wanted one was taken meanwhile. */
const MOST_PORTS = 50;

/**
 * Serves the production build on the database at `url` from this process, the pages from a thread of it: ending it ends the
 * web server too.
 *
 * @param orNext whether the next free port does as well.
 * @param ready is waited for before anybody is listened to: the database, made ready beside the application.
 */
export async function serve({ url, host, port, orNext = false, ready = Promise.resolve() }) {
  Object.assign(process.env, {
    DATABASE_URL: url,
    BACKUPS,
    NODE_ENV: "production",
    NEXT_TELEMETRY_DISABLED: "1",
    ODD_LEAD_WORK: WORK,
  });
  // Packages are loaded when they are wanted: who starts this may still have to install them.
  const [{ pagesBeside }, { directAnswers }] = await Promise.all([
    import("./pages.mjs"),
    import("./directly.mjs"),
  ]);
  const [pages, direct] = await Promise.all([pagesBeside({ host, port }), directAnswers(DIRECT), ready]);
  const packed = packedAnswers(STATIC);
  const allowed = allowedHosts(host, process.env.ALLOWED_HOSTS);
  const server = createServer((request, response) => {
    for (const [name, value] of Object.entries(OWN_HEADERS)) response.setHeader(name, value);
    const refusal = foreign(request.headers, allowed) ?? refusalOf(request.method, request.url);
    if (refusal) {
      refuse(response, refusal);
      return;
    }
    if (packed(request, response)) return;
    tellRemote(request);
    if (!direct(request, response)) pages(request, response);
  });
  for (let tried = 0; ; tried++) {
    const taken = await listening(server, host, port + tried);
    if (!taken) return server;
    if (!orNext || tried === MOST_PORTS) throw taken;
  }
}

const REMOTE = "x-odd-lead-remote";

/** Writes down the address that the rate limit counts by: ours alone to set, whatever was sent under that name. */
function tellRemote(request) {
  const address = request.socket.remoteAddress ?? "local";
  request.headers[REMOTE] = address;
  const sent = request.rawHeaders;
  request.rawHeaders = sent
    .filter((_, i) => sent[i - (i % 2)].toLowerCase() !== REMOTE)
    .concat(REMOTE, address);
}

/** Why a server does not listen on a port, where somebody else does; null when it listens. */
function listening(server, host, port) {
  return new Promise((resolve, reject) => {
    const failed = (error) => (error.code === "EADDRINUSE" ? resolve(error) : reject(error));
    server.once("error", failed);
    server.listen(port, host, () => {
      server.off("error", failed);
      resolve(null);
    });
  });
}
