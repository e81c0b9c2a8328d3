"use client";

import { type RefObject, useEffect, useRef } from "react";

/** Whoever comes back later than this comes anew. */
const LONGEST_RELOAD_MS = 20_000;

/**
 * What is typed in a field that is kept nowhere else stays where the page is loaded again: by whoever reads it, or by
 * itself, to go on to a new build. So does the caret's being in it. A new opening begins with an empty field.
 *
 * @param name of the field, for this page alone.
 * @param restore the same function each time.
 */
export function useOverReload(
  name: string,
  text: string,
  restore: (text: string) => void,
  field: RefObject<HTMLInputElement | null>,
): void {
  const now = useRef(text);
  useEffect(() => {
    now.current = text;
  }, [text]);
  useEffect(() => {
    const key = `odd-lead-typed-${name}`;
    const before = taken(key);
    // What was typed meanwhile, before the scripts came, stands.
    if (before && !field.current?.value) {
      restore(before.text);
      if (before.focused) field.current?.focus();
    }
    const leave = () => {
      if (now.current === "") return;
      const focused = document.activeElement === field.current;
      put(key, { text: now.current, focused, at: Date.now() });
    };
    addEventListener("pagehide", leave);
    return () => removeEventListener("pagehide", leave);
  }, [name, restore, field]);
}

interface Typed {
  readonly text: string;
  readonly focused: boolean;
  /** When the page was left, milliseconds since 1970. */
  readonly at: number;
}

/** What was put there, once; null where nothing was of late, or where the browser keeps nothing for pages. */
function taken(key: string): Typed | null {
  try {
    const kept = sessionStorage.getItem(key);
    sessionStorage.removeItem(key);
    const typed = kept === null ? null : (JSON.parse(kept) as Typed);
    return typed && Date.now() - typed.at < LONGEST_RELOAD_MS ? typed : null;
  } catch {
    return null;
  }
}

function put(key: string, typed: Typed): void {
  try {
    sessionStorage.setItem(key, JSON.stringify(typed));
  } catch {
    // A browser that refuses to keep it loses a search, and nothing else.
  }
}
