import { existsSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join, sep } from "node:path";
import { promisify } from "node:util";
import { brotliCompress, constants } from "node:zlib";

/** How what never changes under its name is asked for. */
const ADDRESS = "/_next/static/";
const TYPES = { ".js": "application/javascript; charset=UTF-8", ".css": "text/css; charset=UTF-8" };
const PACKED = ".br";
const YEAR_SECONDS = 31_536_000;

const compress = promisify(brotliCompress);

/**
 * Packs scripts and styles of the build once, as tightly as Brotli (RFC 7932) goes: a phone on a poor line waits for them.
 * @param folder where the build keeps them.
 */
export async function packBuild(folder) {
  const files = readdirSync(folder, { recursive: true })
    .map((name) => join(folder, name))
    .filter((file) => typeOf(file) !== undefined);
  await Promise.all(
    files.map(async (file) => {
      const plain = readFileSync(file);
      const params = {
        [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
        [constants.BROTLI_PARAM_SIZE_HINT]: plain.length,
      };
      writeFileSync(file + PACKED, await compress(plain, { params }));
    }),
  );
}

/** Answers a request for a packed file of the build; false where there is none, or the browser does not take it. */
export function packedAnswers(folder) {
  const known = new Map();
  if (existsSync(folder))
    for (const name of readdirSync(folder, { recursive: true }))
      if (name.endsWith(PACKED)) known.set(addressOf(name.slice(0, -PACKED.length)), join(folder, name));
  return (request, response) => {
    const file = known.get(request.url?.split("?")[0]);
    const takes = /\bbr\b/.test(String(request.headers["accept-encoding"] ?? ""));
    if (!file || !takes || (request.method !== "GET" && request.method !== "HEAD")) return false;
    const body = readFileSync(file);
    response.writeHead(200, {
      "content-type": typeOf(file.slice(0, -PACKED.length)),
      "content-encoding": "br",
      "content-length": body.length,
      "cache-control": `public, max-age=${YEAR_SECONDS}, immutable`,
      vary: "accept-encoding",
    });
    response.end(request.method === "HEAD" ? undefined : body);
    return true;
  };
}

/** The address of a file, whose folders may be named after a part of an address: [job]. */
function addressOf(name) {
  return ADDRESS + name.split(sep).map(encodeURIComponent).join("/");
}

function typeOf(file) {
  return TYPES[/\.[a-z]+$/.exec(file)?.[0] ?? ""];
}
