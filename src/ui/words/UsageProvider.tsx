"use client";

import { createContext, type ReactNode, useCallback, useContext, useEffect, useState } from "react";
import { inUsage, placeInUsage, type Usage } from "@/core/words";
import { USAGE_COOKIE, usageOf } from "./usage";

interface UsageSetting {
  readonly usage: Usage;
  readonly choose: (usage: Usage) => void;
}

const Setting = createContext<UsageSetting>({ usage: "north-american", choose: () => {} });
const YEAR_SECONDS = 365 * 24 * 3600;
const CHANGED = "odd-lead-words-changed";

/** Gives the pages their words. A page kept from before the setting changed comes in the old ones and follows at once. */
export function UsageProvider({ usage: first, children }: { usage: Usage; children: ReactNode }) {
  const [usage, setUsage] = useState(first);
  useEffect(() => {
    const channel = typeof BroadcastChannel === "undefined" ? null : new BroadcastChannel(CHANGED);
    // What was chosen is told with it: another page's cookie may be seen later than its word.
    channel?.addEventListener("message", ({ data }: MessageEvent<Usage>) => setUsage(usageOf(data, null)));
    const kept = keptUsage();
    if (kept !== undefined) setUsage(usageOf(kept, null));
    return () => channel?.close();
  }, []);
  useEffect(() => {
    document.documentElement.lang = usage === "international" ? "en-GB" : "en-US";
  }, [usage]);
  const choose = useCallback((chosen: Usage) => {
    // biome-ignore lint/suspicious/noDocumentCookie: the cookie store is not in every browser we serve.
    document.cookie = `${USAGE_COOKIE}=${chosen}; path=/; max-age=${YEAR_SECONDS}; samesite=lax`;
    setUsage(chosen);
    if (typeof BroadcastChannel === "undefined") return;
    const channel = new BroadcastChannel(CHANGED);
    channel.postMessage(chosen);
    channel.close();
  }, []);
  return <Setting value={{ usage, choose }}>{children}</Setting>;
}

function keptUsage(): string | undefined {
  return document.cookie
    .split("; ")
    .find((one) => one.startsWith(`${USAGE_COOKIE}=`))
    ?.slice(USAGE_COOKIE.length + 1);
}

/** Whose words are shown, and how to choose others. */
export function useUsage(): UsageSetting {
  return useContext(Setting);
}

/** Says a sentence of ours in the words that are shown. Not for what somebody typed. */
export function useWords(): (text: string) => string {
  const { usage } = useContext(Setting);
  return useCallback((text: string) => inUsage(text, usage), [usage]);
}

/** Says the name of a place, a device or a terminal in the words that are shown; what a shop named itself stays. */
export function usePlaceWords(): (name: string) => string {
  const { usage } = useContext(Setting);
  return useCallback((name: string) => placeInUsage(name, usage), [usage]);
}

/** A sentence of ours among other parts of a page, in the words that are shown. */
export function Say({ children }: { children: string }) {
  return useWords()(children);
}
