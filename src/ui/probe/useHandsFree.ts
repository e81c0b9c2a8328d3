"use client";

import { type RefObject, useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import { askedAt, type Catching, caught, type Meter, type OhmsShown } from "@/core";
import { useJob } from "../job/JobContext";
import { signal } from "../parts/signals";
import { speak } from "./speech";
import type { Target } from "./target";

/** A value that hands free has taken, to be struck by one key. */
export interface Taken {
  readonly fact: string;
  readonly says: string;
}

/** Keys that a foot or a finger gives the sign with, and those that strike: pedals send the page keys. */
const SIGN_KEYS: ReadonlySet<string> = new Set([" ", "PageDown"]);
const STRIKE_KEYS: ReadonlySet<string> = new Set(["Backspace", "Delete", "PageUp"]);

interface Settings {
  readonly on: boolean;
  readonly aloud: boolean;
  /** What to touch now, in words. */
  readonly asks: string;
  readonly saysValue: (shown: OhmsShown) => string;
}

/**
 * Hands free: takes each value by itself as it stands, says it back, and names the next pair. The sign that an open pair
 * is open, and striking the last value, are one key each.
 *
 * @param each given what to tell every value at the target to, as it arrives.
 */
export function useHandsFree(
  each: RefObject<(shown: OhmsShown) => void>,
  target: Target | null,
  meter: Meter,
  onHold: (shown: OhmsShown) => string | null,
  { on, aloud, asks, saysValue }: Settings,
): { readonly taken: Taken | null; readonly signed: boolean; readonly strike: () => void } {
  const { add, job } = useJob("undo");
  const state = useRef<Catching>(askedAt(0));
  const [taken, setTaken] = useState<Taken | null>(null);
  const [signed, setSigned] = useState(false);
  /** What was taken and is still to be said, with what comes next. */
  const unsaid = useRef("");
  const place = target ? JSON.stringify(target) : "";

  useEffect(() => {
    if (place === "" || !on) return;
    state.current = askedAt(performance.now());
    setSigned(false);
  }, [place, on]);

  useEffect(() => {
    if (!on || !aloud || asks === "") return;
    speak([unsaid.current, asks].filter(Boolean).join(" "));
    unsaid.current = "";
  }, [on, aloud, asks]);

  // As it arrives, not as it is drawn: of two values at once only one is drawn, and the other may take a sign back.
  useLayoutEffect(() => {
    each.current = (shown) => {
      if (!on || place === "") return;
      const event = { kind: "shown", shown, atMs: performance.now() } as const;
      const { now, value } = caught(state.current, event, meter);
      state.current = value ? askedAt(event.atMs) : now;
      setSigned(state.current.signedMs !== null);
      if (!value) return;
      const fact = onHold(value);
      const says = saysValue(value);
      unsaid.current = says;
      signal("taken");
      if (fact !== null) setTaken({ fact, says });
    };
    return () => {
      each.current = () => undefined;
    };
  }, [each, on, place, meter, onHold, saysValue]);

  const standing = taken !== null && job.undo?.id === taken.fact ? taken : null;
  const strike = useCallback(() => {
    if (!standing) return;
    add({ kind: "undone", fact: standing.fact });
    setTaken(null);
    unsaid.current = "Struck.";
    if (aloud) speak("Struck.");
  }, [standing, add, aloud]);

  useEffect(() => {
    if (!on) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || hasOwnUse(event)) return;
      if (SIGN_KEYS.has(event.key)) {
        state.current = caught(state.current, { kind: "sign", atMs: performance.now() }, meter).now;
        setSigned(true);
      } else if (STRIKE_KEYS.has(event.key)) strike();
      else return;
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [on, meter, strike]);

  return { taken: standing, signed, strike };
}

/** A field with something in it takes every key, a button the one that presses it. */
function hasOwnUse({ target, key }: KeyboardEvent): boolean {
  if (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) return target.value !== "";
  return target instanceof HTMLSelectElement || (target instanceof HTMLButtonElement && key === " ");
}
