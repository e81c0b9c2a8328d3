/** Held by every open page, under the name of its build. */
const LOCK = "odd-lead:build:";
let held = false;

/** Lets other pages know, for as long as this one is open, that one of its build is. */
export function holdBuild(build: string): void {
  if (held || !navigator.locks) return;
  held = true;
  void navigator.locks.request(LOCK + build, { mode: "shared" }, () => new Promise(() => undefined));
}

/**
 * Has the worker of this page's build begin once no page of another build is open. A browser lets a new worker wait until
 * every page has gone; one that is only ever loaded again would open with the old build without a server for good.
 */
export function beginNewBuild(registration: ServiceWorkerRegistration | undefined, build: string): void {
  // A browser that is told to keep no worker gives none.
  if (!registration) return;
  const tryIt = () => void begin(registration, build);
  tryIt();
  registration.addEventListener("updatefound", () =>
    registration.installing?.addEventListener("statechange", tryIt),
  );
  registration.installing?.addEventListener("statechange", tryIt);
}

async function begin({ waiting }: ServiceWorkerRegistration, build: string): Promise<void> {
  if (!waiting || new URL(waiting.scriptURL).searchParams.get("build") !== build) return;
  const { held: open = [] } = (await navigator.locks?.query()) ?? {};
  const others = open.filter(({ name }) => name?.startsWith(LOCK) && name !== LOCK + build);
  if (others.length === 0) waiting.postMessage("begin");
}
