"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useRouter } from "next/navigation";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import type { JobLine } from "@/contract/routes/jobs";
import { Trouble } from "../parts/Trouble";
import { localDay, useToday } from "../parts/useLocalDay";
import { useOverReload } from "../parts/useOverReload";
import { MAIN_FIELD } from "../theme/fields";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";
import { JobSection } from "./JobSection";
import type { RowAction } from "./rowAction";
import { useJobPages } from "./useJobPages";

/** The first page of the shop's own jobs, as it came with the page. */
export interface FirstJobs {
  readonly jobs: readonly JobLine[];
  readonly next: string | null;
}

/** Every job the shop has: today's, then all before, found by whatever a person remembers. */
export function JobFinder({
  first,
  kept,
  children,
}: {
  first: FirstJobs;
  kept: boolean;
  /** What stands below the list while nothing is looked for. */
  children?: ReactNode;
}) {
  const words = useWords();
  const router = useRouter();
  const [search, setSearch] = useState("");
  const field = useRef<HTMLInputElement>(null);
  useOverReload("find-a-job", search, setSearch, field);
  const [shelved, setShelved] = useState<"listed" | "archived">("listed");
  const [done, setDone] = useState<{ says: string; job: string; was: JobLine["shelved"] } | null>(null);
  // Without the server the words are looked for in what this device keeps.
  const pages = useJobPages(kept ? NOTHING_ASKED : { search: search.trim(), shelved }, first);
  const { more, loading, says, loadMore, again } = pages;
  const jobs = kept
    ? pages.jobs.filter((job) => job.shelved === shelved && hasWords(job, search))
    : pages.jobs;
  const today = useToday();
  const plain = search.trim() === "" && shelved === "listed";
  const ofToday = plain && today ? jobs.filter(({ at }) => localDay(at) === today) : [];
  const rest = jobs.filter((job) => !ofToday.includes(job));

  const act = async (job: JobLine, action: RowAction) => {
    const { newVisit, shelve } = await import("./rowActions");
    if (action === "visit") {
      const id = await newVisit(job.id);
      if (id) router.push(`/jobs/${id}/probe`);
      else setDone({ says: "That job cannot be had just now.", job: "", was: "listed" });
      return;
    }
    const as = action === "delete" ? "deleted" : action === "archive" ? "archived" : "listed";
    await shelve(job.id, as);
    setDone({ says: `${DONE[as]}: ${job.title}.`, job: job.id, was: job.shelved });
    again();
  };
  useHotkeys("slash", () => field.current?.focus(), { preventDefault: true });
  /** Enter opens the first that is found for the words as they stand, not for those shown a moment ago. */
  const openFirst = async () => {
    const words = search.trim();
    if (words === "") return;
    const { findJobs } = await import("./findJobs");
    const found = kept
      ? { ok: true as const, jobs }
      : await findJobs({ search: words, of: "own", shelved }, new AbortController().signal);
    const job = found.ok ? found.jobs[0] : undefined;
    if (job) router.push(`/jobs/${job.id}/probe`);
  };
  const undo = async () => {
    if (!done) return;
    const { shelve } = await import("./rowActions");
    await shelve(done.job, done.was);
    setDone(null);
    again();
  };

  return (
    <>
      <Box component="search" sx={{ display: "flex", gap: 3, mb: 4, flexWrap: "wrap" }}>
        <InputBase
          type="search"
          value={search}
          inputRef={field}
          onChange={(event) => setSearch(event.target.value)}
          onKeyDown={(event) => event.key === "Enter" && void openFirst()}
          placeholder={words("Site, unit, plate number, wire color, month …")}
          inputProps={{
            "aria-label": "Find a job",
            maxLength: 120,
            autoComplete: "off",
            enterKeyHint: "search",
          }}
          sx={{ ...MAIN_FIELD, flex: "1 1 280px", px: 3 }}
        />
        <Button
          color="inherit"
          aria-pressed={shelved === "archived"}
          onClick={() => setShelved(shelved === "archived" ? "listed" : "archived")}
          sx={{ minHeight: 56 }}
        >
          {shelved === "archived" ? "Back to the list" : "Archived"}
        </Button>
      </Box>
      {done ? (
        <Box role="status" sx={{ display: "flex", gap: 4, alignItems: "center", flexWrap: "wrap", mb: 3 }}>
          <Typography>{done.says}</Typography>
          {done.job === "" ? null : (
            <Button color="inherit" onClick={() => void undo()} sx={{ minHeight: TOUCH }}>
              Undo
            </Button>
          )}
        </Box>
      ) : null}
      {says === "" ? null : <Trouble sx={{ mb: 3 }}>{says}</Trouble>}
      {ofToday.length > 0 ? <JobSection title="Today" jobs={ofToday} onAction={act} /> : null}
      {ofToday.length > 0 && rest.length === 0 ? null : (
        <JobSection
          title={search.trim() !== "" ? "Found" : shelved === "archived" ? "Archived" : "Earlier"}
          jobs={rest}
          onAction={act}
          busy={loading}
          empty={
            search.trim() !== ""
              ? "Nothing has all of these words. One word less finds more."
              : shelved === "archived"
                ? "Nothing is archived."
                : "No job yet. “Start with a motor” makes one; it is kept from the first lead you type."
          }
        />
      )}
      {more ? <More loading={loading} onMore={loadMore} /> : null}
      {plain ? children : null}
    </>
  );
}

const NOTHING_ASKED = { search: "", shelved: "listed" } as const;

/** Whether every word is in what a row says. */
function hasWords({ title, unit, leads, cause, at }: JobLine, search: string): boolean {
  const said = [
    title,
    cause,
    at,
    ...Object.values(unit ?? {}),
    ...leads.flatMap((lead) => Object.values(lead)),
  ]
    .join(" ")
    .toLowerCase();
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => said.includes(word));
}

const DONE = { deleted: "Deleted", archived: "Archived", listed: "Back in the list" } as const;

/** Loads on when it comes into sight, or by a touch. */
function More({ loading, onMore }: { loading: boolean; onMore: () => void }) {
  const at = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const here = at.current;
    if (!here || loading) return;
    const watch = new IntersectionObserver(([entry]) => entry?.isIntersecting && onMore(), {
      rootMargin: "400px",
    });
    watch.observe(here);
    return () => watch.disconnect();
  }, [loading, onMore]);
  return (
    <Box ref={at} sx={{ mb: 10 }}>
      <Button color="inherit" disabled={loading} onClick={onMore} sx={{ minHeight: TOUCH }}>
        {loading ? "Loading …" : "More"}
      </Button>
    </Box>
  );
}
