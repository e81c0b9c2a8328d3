/**
 * Keeps the whole application on this device, so that it opens and works without a server. One build's files stand
 * together in one cache: a page goes on with the build that it began with, and the next opening is the new one.
 */

const BUILD = new URL(self.location.href).searchParams.get("build") ?? "";
/** The application of this build. */
const KEPT = `odd-lead-kept-${BUILD}`;
/** What the server answered last, for looking at without it. */
const SEEN = "odd-lead-seen";
/** The page that stands for every page without a server: it reads its own address. */
const SHELL = "/kept";
/** A server that has not begun to answer by then is taken for away. */
const PAGE_WITHIN_MS = 5000;
const SEEN_PATHS = [/^\/api\/v1\/stock$/, /^\/api\/v1\/equipment$/, /^\/api\/v1\/jobs\/[^/]+\/photos\//];
const MOST_SEEN = 200;

self.addEventListener("install", (event) => event.waitUntil(keepApplication()));

async function keepApplication() {
  const listed = await (await fetch("/offline.json", { cache: "no-store" })).json();
  // The server is of another build by now: its page brings a worker of its own.
  if (listed.build !== BUILD) throw new Error("another build is served");
  const cache = await caches.open(KEPT);
  await cache.addAll(listed.files.map((file) => new Request(file, { cache: "reload" })));
}

// No page of another build is open any more.
self.addEventListener("message", ({ data }) => {
  if (data === "begin") self.skipWaiting();
});

self.addEventListener("activate", (event) => event.waitUntil(begin()));

async function begin() {
  const old = (await caches.keys()).filter((name) => name.startsWith("odd-lead-kept-") && name !== KEPT);
  await Promise.all(old.map((name) => caches.delete(name)));
  await self.clients.claim();
}

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== self.location.origin) return;
  if (request.mode === "navigate") event.respondWith(pageOrShell(request));
  else if (url.pathname.startsWith("/_next/static/") || url.pathname.startsWith("/icons/"))
    event.respondWith(keptOrFetched(request));
  else if (SEEN_PATHS.some((path) => path.test(url.pathname))) event.respondWith(fetchedOrSeen(request));
});

async function pageOrShell(request) {
  const late = new AbortController();
  const timer = setTimeout(() => late.abort(), PAGE_WITHIN_MS);
  try {
    const answer = await fetch(request, { signal: late.signal });
    if (answer.status < 500) return answer;
    return (await kept(SHELL)) ?? answer;
  } catch (error) {
    const shell = await kept(SHELL);
    if (shell) return shell;
    throw error;
  } finally {
    clearTimeout(timer);
  }
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
