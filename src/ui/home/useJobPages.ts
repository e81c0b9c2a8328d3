"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import type { JobLine } from "@/contract/routes/jobs";

/** What is asked of the list. */
export interface JobsAsked {
  readonly search: string;
  readonly shelved: "listed" | "archived";
}

/** The pages of a list as far as they were asked for. */
export interface JobPages {
  readonly jobs: readonly JobLine[];
  /** There is more to load. */
  readonly more: boolean;
  readonly loading: boolean;
  /** Why the list could not be had; "" where it could. */
  readonly says: string;
  readonly loadMore: () => void;
  /** Asks for the list anew. */
  readonly again: () => void;
}

/** Letters typed within so long are one question. */
const PAUSE_MS = 120;
const FIRST: JobsAsked = { search: "", shelved: "listed" };

/**
 * A list of jobs page by page. The first page of the whole list came with the page itself; whatever else is asked for is
 * had from the server, the latest question winning. What asks is loaded when it is first needed.
 */
export function useJobPages(
  asked: JobsAsked,
  first: { jobs: readonly JobLine[]; next: string | null },
): JobPages {
  const [shown, setShown] = useState({ ...first, says: "" });
  const [loading, setLoading] = useState(false);
  const [attempt, setAttempt] = useState(0);
  const untouched = useRef(true);
  const { search, shelved } = asked;

  useEffect(() => {
    if (untouched.current && search === FIRST.search && shelved === FIRST.shelved && attempt === 0) {
      setShown({ ...first, says: "" });
      return;
    }
    untouched.current = false;
    const gone = new AbortController();
    setLoading(true);
    const timer = setTimeout(async () => {
      const found = await ask({ search, shelved }, gone.signal);
      if (gone.signal.aborted) return;
      setLoading(false);
      setShown((before) => (found.ok ? { ...found, says: "" } : { ...before, says: found.says }));
    }, PAUSE_MS);
    return () => {
      gone.abort();
      clearTimeout(timer);
    };
  }, [search, shelved, attempt, first]);

  const { next } = shown;
  const loadMore = useCallback(async () => {
    if (next === null) return;
    setLoading(true);
    const found = await ask({ search, shelved, before: next }, new AbortController().signal);
    setLoading(false);
    setShown((before) => {
      // Another question was asked meanwhile.
      if (before.next !== next) return before;
      if (!found.ok) return { ...before, says: found.says };
      const known = new Set(before.jobs.map(({ id }) => id));
      return {
        jobs: [...before.jobs, ...found.jobs.filter(({ id }) => !known.has(id))],
        next: found.next,
        says: "",
      };
    });
  }, [search, shelved, next]);

  return {
    jobs: shown.jobs,
    more: next !== null,
    loading,
    says: shown.says,
    loadMore: () => void loadMore(),
    again: () => setAttempt(attempt + 1),
  };
}

async function ask(
  { search, shelved, before }: JobsAsked & { readonly before?: string },
  signal: AbortSignal,
) {
  const { findJobs } = await import("./findJobs");
  const of = search === "" ? "own" : "all";
  return findJobs({ search, shelved, of, ...(before ? { before } : {}) }, signal).catch(() => ({
    ok: false as const,
    says: "The list cannot be had just now.",
  }));
}
