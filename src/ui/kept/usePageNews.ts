"use client";

import { useEffect } from "react";

/** How it is with a page that was shown as it came last: a newer one has come, or its server is away. */
export type PageNews = "newer" | "away";

/**
 * Hears from the worker that keeps the application, once, where this page was shown as it came last because its line is
 * poor. Nothing is heard of a page that came from the server.
 *
 * @param onNews the same function each time.
 */
export function usePageNews(onNews: (news: PageNews) => void): void {
  useEffect(() => {
    const keeper = navigator.serviceWorker?.controller;
    if (!keeper) return;
    const hear = ({ data }: MessageEvent<unknown>) => {
      if (data === "newer" || data === "away") onNews(data);
    };
    navigator.serviceWorker.addEventListener("message", hear);
    keeper.postMessage("newer?");
    return () => navigator.serviceWorker.removeEventListener("message", hear);
  }, [onNews]);
}
