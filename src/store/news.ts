/** What changed in the store, told to every page of this device that shows it. */
export type News = { readonly job: string };

const CHANNEL = "odd-lead:store";
const listeners = new Set<(news: News) => void>();
let channel: BroadcastChannel | null = null;

function opened(): BroadcastChannel | null {
  if (channel || typeof BroadcastChannel === "undefined") return channel;
  channel = new BroadcastChannel(CHANNEL);
  channel.addEventListener("message", ({ data }: MessageEvent<News>) => {
    for (const listener of listeners) listener(data);
  });
  return channel;
}

/** Tells the pages of this device, this one included. */
export function tell(news: News): void {
  opened()?.postMessage(news);
  for (const listener of listeners) listener(news);
}

/** Listens to what changes, here and in other tabs; gives the way to stop. */
export function listen(listener: (news: News) => void): () => void {
  opened();
  listeners.add(listener);
  return () => listeners.delete(listener);
}
