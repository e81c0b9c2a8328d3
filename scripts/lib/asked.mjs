/** What a browser or a program may ask with; the rest (TRACE, CONNECT, words of one's own) no page of ours needs. */
const METHODS = new Set(["GET", "HEAD", "POST", "PUT", "PATCH", "DELETE", "OPTIONS"]);

/** Why a request cannot be handed to the application, as status and words; null where it can. */
export function refusalOf(method, url) {
  if (!METHODS.has(method))
    return { status: 405, title: `Nothing here takes ${String(method).slice(0, 20)}.` };
  const [path = "", query = ""] = String(url).split("?", 2);
  const decoded = [path, ...query.split("&").flatMap((part) => part.split("=", 2))].map(plain);
  return decoded.includes(null)
    ? { status: 400, title: "That is no address: its per-cent signs do not hold together." }
    : null;
}

/** A part of an address as text; null where its per-cent signs, a NUL or half a character make it none. */
function plain(part) {
  try {
    const text = decodeURIComponent(part.replaceAll("+", " "));
    return text.includes("\0") || !text.isWellFormed() ? null : text;
  } catch {
    return null;
  }
}

/** Answers a refusal in the form of all others. */
export function refuse(response, { status, title }) {
  const body = JSON.stringify({ type: "about:blank", title, status });
  const allow = status === 405 ? { allow: [...METHODS].join(", ") } : {};
  response.writeHead(status, {
    "content-type": "application/problem+json",
    "cache-control": "no-store",
    // What was sent with it is not read: the next request needs a line of its own.
    connection: "close",
    ...allow,
  });
  response.end(body);
}
