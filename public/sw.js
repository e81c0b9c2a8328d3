/**
 * Keeps the whole application on this device, so that it opens and works without a server. One build's files stand
 * together in one cache: a page goes on with the build that it began with, and the next opening is the new one. Where
 * the line is poor that may be the one after: a page is first shown as it came last.
 */

const BUILD = new URL(self.location.href).searchParams.get("build") ?? "";
/** The application of this build. */
const KEPT = `odd-lead-kept-${BUILD}`;
/** Pages of this build as they came last, each by its address. */
const PAGES = `odd-lead-pages-${BUILD}`;
const MOST_PAGES = 30;
/** What the server answered last, for looking at without it. */
const SEEN = "odd-lead-seen";
/** The page that stands for every page without a server: it reads its own address. */
const SHELL = "/kept";
/** A server that has not begun to answer by then is taken for away. */
const PAGE_WITHIN_MS = 5000;
/** The same where the page as it came last is shown meanwhile. */
const NEWER_WITHIN_MS = 20_000;
/** On a poor line a page is shown as it came last, after this head start, and what is newer follows. */
const HEAD_START_MS = 100;
/** How a browser asks for a page that is loaded again. */
const AGAIN = ["no-cache", "reload"];
const SEEN_PATHS = [/^\/api\/v1\/stock$/, /^\/api\/v1\/equipment$/, /^\/api\/v1\/jobs\/[^/]+\/photos\//];
const MOST_SEEN = 200;

self.addEventListener("install", (event) => event.waitUntil(keepApplication()));

async function keepApplication() {
  const listed = await (await fetch("/offline.json", { cache: "no-store" })).json();
  // The server is of another build by now: its page brings a worker of its own.
  if (listed.build !== BUILD) throw new Error("another build is served");
  const cache = await caches.open(KEPT);
  await cache.addAll(listed.files.map((file) => new Request(file, { cache: "reload" })));
  // What is open came before there was anybody to keep it.
  const open = await self.clients.matchAll({ type: "window", includeUncontrolled: true });
  await Promise.all(open.map(async ({ url }) => (await fetchedPage(url, NEWER_WITHIN_MS)).keeping));
}

self.addEventListener("message", (event) => {
  // No page of another build is open any more.
  if (event.data === "begin") self.skipWaiting();
  else if (event.data === "newer?") event.waitUntil(tellNewer(event.source));
});

self.addEventListener("activate", (event) => event.waitUntil(begin()));

async function begin() {
  const ours = [KEPT, PAGES, SEEN];
  const old = (await caches.keys()).filter((name) => name.startsWith("odd-lead-") && !ours.includes(name));
  await Promise.all(old.map((name) => caches.delete(name)));
  await self.clients.claim();
}

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== self.location.origin) return;
  if (request.mode === "navigate") event.respondWith(page(event));
  else if (url.pathname.startsWith("/_next/static/") || url.pathname.startsWith("/icons/"))
    event.respondWith(keptOrFetched(request));
  else if (SEEN_PATHS.some((path) => path.test(url.pathname))) event.respondWith(fetchedOrSeen(request));
});

/** For each page that was shown as it came last: whether its server turns out to be away. */
const shownAsLast = new Map();

async function page(event) {
  const { request, resultingClientId } = event;
  const last = asLast(request) && (await (await caches.open(PAGES)).match(request));
  const fresh = fetchedPage(request, last ? NEWER_WITHIN_MS : PAGE_WITHIN_MS);
  event.waitUntil(fresh.then(({ keeping }) => keeping));
  if (last && (await Promise.race([fresh, after(HEAD_START_MS)])) === undefined) {
    const isAway = fresh.then(({ away }) => away);
    shownAsLast.set(resultingClientId, isAway);
    return last;
  }
  const { answer, away } = await fresh;
  return away ? ((await kept(SHELL)) ?? answer ?? Response.error()) : answer;
}

/** Who loads a page again wants it as it is; and where another build has come, the next opening is that one's. */
function asLast(request) {
  const { installing, waiting } = self.registration;
  return !AGAIN.includes(request.cache) && installing === null && waiting === null;
}

/** A page from the server, which is kept for its next opening while it comes. */
async function fetchedPage(request, withinMs) {
  const late = new AbortController();
  const timer = setTimeout(() => late.abort(), withinMs);
  try {
    const answer = await fetch(request, { signal: late.signal });
    const isPage = answer.headers.get("content-type")?.startsWith("text/html");
    const isKept = answer.ok && isPage && !answer.redirected;
    // A page that broke off, or that there is no room for, is not kept; what was kept before stays.
    const keeping = isKept ? keepPage(request, answer.clone()).catch(() => undefined) : null;
    return { answer, keeping, away: answer.status >= 500 };
  } catch {
    return { answer: null, keeping: null, away: true };
  } finally {
    clearTimeout(timer);
  }
}

async function keepPage(request, answer) {
  const pages = await caches.open(PAGES);
  await pages.put(request, answer);
  const all = await pages.keys();
  await Promise.all(all.slice(0, Math.max(0, all.length - MOST_PAGES)).map((one) => pages.delete(one)));
}

/** Tells a page that was shown as it came last how it is by now. */
async function tellNewer({ id }) {
  const isAway = shownAsLast.get(id);
  if (!isAway) return;
  const news = (await isAway) ? "away" : "newer";
  (await self.clients.get(id))?.postMessage(news);
  shownAsLast.delete(id);
}

function after(milliseconds) {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}

async function keptOrFetched(request) {
  const answer = (await kept(request)) ?? (await fetch(request));
  // A worker's script reads its own address, which an answer with an address of its own would take the place of.
  return request.destination.endsWith("worker") ? new Response(answer.body, answer) : answer;
}

async function fetchedOrSeen(request) {
  const seen = await caches.open(SEEN);
  try {
    const answer = await fetch(request);
    if (answer.ok) {
      await seen.put(request, answer.clone());
      const all = await seen.keys();
      await Promise.all(all.slice(0, Math.max(0, all.length - MOST_SEEN)).map((one) => seen.delete(one)));
    }
    return answer.status < 500 ? answer : ((await seen.match(request)) ?? answer);
  } catch (error) {
    const before = await seen.match(request);
    if (before) return before;
    throw error;
  }
}

async function kept(request) {
  return (await caches.open(KEPT)).match(request);
}
