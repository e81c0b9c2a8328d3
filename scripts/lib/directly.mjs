import { createRequire } from "node:module";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { getRequestListener } from "@hono/node-server";
import { RESPONSE_ALREADY_SENT } from "@hono/node-server/utils/response";
import compression from "compression";
import { TrieRouter } from "hono/router/trie-router";
import { refuse } from "./asked.mjs";

/** Answers a request for a route of the entrance that the build made; false where it is for none, and somebody else answers. */
export function directAnswers(file) {
  const { routes } = createRequire(import.meta.url)(file);
  const router = new TrieRouter();
  for (const [address, handlers] of routes) router.add("ALL", address, handlers);
  const compress = compression({ filter: isPacked });
  return (request, response) => {
    const found = foundOn(router, request.url);
    if (!found) return false;
    const [handlers, params] = found;
    const handle = handlers[request.method];
    const listener = getRequestListener(
      async (asked) => {
        await send(await handle(asked, { params: Promise.resolve(params) }), response);
        return RESPONSE_ALREADY_SENT;
      },
      { errorHandler: (error) => failed(error, response), ...BESIDE_THE_FRAMEWORK },
    );
    const begin = () => compress(request, response, () => void listener(request, response));
    if (request.url === HEALTH) begin();
    else inTurn(begin);
    return true;
  };
}

/** Whoever asks whether the server is well waits for nobody. */
const HEALTH = "/api/health";

/** So many are begun in one turn of the event loop. */
const A_TURN = 4;
const waiting = [];

/** Begins what was asked a few at a time, so that where many ask at once whoever is not in turn waits for few. */
function inTurn(begin) {
  if (waiting.push(begin) === 1) setImmediate(turn);
}

function turn() {
  for (const begin of waiting.splice(0, A_TURN)) begin();
  if (waiting.length > 0) setImmediate(turn);
}

/** It has globals of its own. */
const BESIDE_THE_FRAMEWORK = { overrideGlobalObjects: false };

/** A stream of events goes out event by event. */
function isPacked(request, response) {
  return response.getHeader("content-type") !== EVENTS && compression.filter(request, response);
}

const EVENTS = "text/event-stream";
const JSON_TYPE = /^application\/(?:problem\+)?json\b/;

/** The handlers of an address with what stands in its places; null where there are none. */
function foundOn(router, url) {
  const [path = ""] = url.split("?", 1);
  if (!path.startsWith("/api/")) return null;
  const [[first] = []] = router.match("ALL", path);
  if (!first) return null;
  const [handlers, given] = first;
  const params = Object.entries(given).map(([name, text]) => [name, decodeURIComponent(text)]);
  return [handlers, Object.fromEntries(params)];
}

/** JSON goes out at once, all else as it comes; whoever goes away meanwhile ends it. */
async function send(answer, response) {
  if (response.destroyed) {
    await answer.body?.cancel();
    return;
  }
  for (const [name, value] of answer.headers) response.setHeader(name, value);
  response.statusCode = answer.status;
  if (!answer.body) response.end();
  else if (JSON_TYPE.test(answer.headers.get("content-type")))
    response.end(Buffer.from(await answer.arrayBuffer()));
  else {
    response.flushHeaders();
    await pipeline(Readable.fromWeb(answer.body), response);
  }
}

/** The routes log a body of theirs that breaks off, and name it so; see src/server/watchedBody.ts. */
const LOGGED = "BrokenOff";

/** What the routes do not answer themselves: an address that is none, and a stream that broke off, on whichever side. */
function failed(error, response) {
  if (error.name === "RequestError") refuse(response, { status: 400, title: "That is no address." });
  else if (error.code !== "ERR_STREAM_PREMATURE_CLOSE") {
    if (error.name !== LOGGED) console.error(error);
    response.destroy();
  }
  return RESPONSE_ALREADY_SENT;
}
