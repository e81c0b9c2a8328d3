import { createServer } from "node:http";
import { refusalOf, refuse } from "./asked.mjs";
import { BACKUPS } from "./backups.mjs";
import { allowedHosts, foreign, OWN_HEADERS } from "./ownPage.mjs";
import { packedAnswers } from "./packed.mjs";
import { ROOT, STATIC } from "./project.mjs";

/** Serves the production build on the database at `url` from this process: ending it ends the web server too. */
export async function serve({ url, host, port }) {
  Object.assign(process.env, {
    DATABASE_URL: url,
    BACKUPS,
    NODE_ENV: "production",
    NEXT_TELEMETRY_DISABLED: "1",
  });
  const { default: next } = await import("next");
  const app = next({ dev: false, dir: ROOT, hostname: host, port });
  await app.prepare();
  const handle = app.getRequestHandler();
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
    // Ours alone to set: the address that the rate limit counts by.
    request.headers["x-odd-lead-remote"] = request.socket.remoteAddress ?? "local";
    handle(request, response);
  });
  await new Promise((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, host, resolve);
  });
  return server;
}
