"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { useCallback, useEffect, useRef, useState } from "react";
import { bringIn, type ImportPlan, importPlan } from "@/store/files/importPlan";
import { type ReadArchive, readArchive } from "@/store/files/readArchive";
import { Notice } from "../parts/Notice";
import { PlainLink } from "../parts/PlainLink";
import { Trouble } from "../parts/Trouble";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/measures";

type State =
  | { readonly at: "choose"; readonly says: string }
  | { readonly at: "working"; readonly what: string; readonly share: number | null }
  | { readonly at: "planned"; readonly archive: ReadArchive; readonly plan: ImportPlan }
  | { readonly at: "done"; readonly plan: ImportPlan };

const MOST_FILE_BYTES = 400e6;
const LISTED = 50;

/** Files brought in: what they hold is shown first, and what bringing them in would do; twice changes nothing. */
export function ImportFiles({ files, onDone }: { files?: readonly File[]; onDone?: () => void }) {
  const [state, setState] = useState<State>({ at: "choose", says: "" });
  const stop = useRef<AbortController | null>(null);
  const chooser = useRef<HTMLInputElement>(null);
  useEffect(() => () => stop.current?.abort(), []);

  const look = useCallback(async (chosen: readonly File[]) => {
    const gone = new AbortController();
    stop.current = gone;
    setState({ at: "working", what: "Reading", share: null });
    try {
      const archive = await readAll(chosen);
      const plan = await importPlan(
        archive,
        (done, all) => setState({ at: "working", what: "Comparing", share: done / all }),
        gone.signal,
      );
      setState({ at: "planned", archive, plan });
    } catch (error) {
      setState({ at: "choose", says: gone.signal.aborted ? "" : wordsOf(error) });
    }
  }, []);
  useEffect(() => {
    if (files && files.length > 0) void look(files);
  }, [files, look]);

  const bring = async (archive: ReadArchive, plan: ImportPlan) => {
    const gone = new AbortController();
    stop.current = gone;
    try {
      await bringIn(
        plan,
        archive,
        (done, all) => setState({ at: "working", what: "Bringing in", share: done / all }),
        gone.signal,
      );
      setState({ at: "done", plan });
      onDone?.();
    } catch (error) {
      const words = gone.signal.aborted ? "Stopped." : wordsOf(error);
      setState({
        at: "choose",
        says: `${words} What came in stays; bringing the same file in again adds the rest.`,
      });
    }
  };

  switch (state.at) {
    case "choose":
      return (
        <Box>
          <input
            ref={chooser}
            type="file"
            multiple
            accept=".json,.zip,application/json,application/zip"
            aria-label="Files to bring in"
            tabIndex={-1}
            onChange={(event) => void look([...(event.target.files ?? [])])}
            style={HIDDEN}
          />
          <Button variant="contained" onClick={() => chooser.current?.click()} sx={{ minHeight: 56, px: 6 }}>
            Choose files to bring in
          </Button>
          {state.says === "" ? null : <Trouble sx={{ mt: 3 }}>{state.says}</Trouble>}
        </Box>
      );
    case "working":
      return (
        <Box role="status">
          <Typography>{state.what} …</Typography>
          <LinearProgress
            aria-label={state.what}
            {...(state.share === null ? {} : { variant: "determinate", value: 100 * state.share })}
            sx={{ my: 2 }}
          />
          <Button color="inherit" onClick={() => stop.current?.abort()} sx={{ minHeight: TOUCH }}>
            Cancel
          </Button>
        </Box>
      );
    case "planned":
      return (
        <Planned
          archive={state.archive}
          plan={state.plan}
          onBring={() => void bring(state.archive, state.plan)}
          onCancel={() => setState({ at: "choose", says: "" })}
        />
      );
    case "done":
      return (
        <Box role="status">
          <Verdict weight="good" word="Brought in" />
          <JobList plan={state.plan} />
          <Button
            color="inherit"
            onClick={() => setState({ at: "choose", says: "" })}
            sx={{ mt: 3, minHeight: TOUCH }}
          >
            More files
          </Button>
        </Box>
      );
  }
}

function Planned({
  archive,
  plan,
  onBring,
  onCancel,
}: {
  archive: ReadArchive;
  plan: ImportPlan;
  onBring: () => void;
  onCancel: () => void;
}) {
  const fresh = plan.jobs.some(
    ({ news, photos, conflicts }) => conflicts === 0 && news.length + photos.length > 0,
  );
  const anything = fresh || plan.stock + plan.equipment > 0;
  return (
    <Box component="section" aria-label="What would be brought in">
      {archive.faults.map(({ name, faults }) => (
        <Notice key={name} word={`${name} is not brought in`} sx={{ mb: 3 }}>
          <Box component="ul" sx={{ m: 0, mt: 1, pl: 5 }}>
            {faults.map(({ path, says }) => (
              <li key={`${path.join("/")} ${says}`}>
                {path.length > 0 ? `${path.join(" / ")}: ` : ""}
                {says}
              </li>
            ))}
          </Box>
        </Notice>
      ))}
      <JobList plan={plan} />
      {plan.stock + plan.equipment > 0 ? (
        <Typography sx={{ mt: 2 }}>
          {plan.stock} stock lines and {plan.equipment} equipment of the shop’s own: put in, or in place of
          their old form.
        </Typography>
      ) : null}
      <Box sx={{ display: "flex", gap: 3, mt: 4 }}>
        {anything ? (
          <Button variant="contained" onClick={onBring} sx={{ minHeight: 56, px: 6 }}>
            Bring in
          </Button>
        ) : archive.jobs.length > 0 ? (
          <Typography role="status" sx={{ alignSelf: "center" }}>
            All of it is here already.
          </Typography>
        ) : null}
        <Button color="inherit" onClick={onCancel} sx={{ minHeight: 56 }}>
          {anything ? "Cancel" : "Other files"}
        </Button>
      </Box>
    </Box>
  );
}

function JobList({ plan }: { plan: ImportPlan }) {
  return (
    <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
      {plan.jobs.slice(0, LISTED).map(({ read, title, news, known, photos, conflicts }) => (
        <Box
          component="li"
          key={read.file.job}
          sx={{ py: 2, borderBottom: "1px solid", borderColor: "divider" }}
        >
          <PlainLink href={`/jobs/${read.file.job}/probe`}>{title}</PlainLink>
          <Typography sx={{ color: conflicts > 0 ? "warning.main" : "text.secondary" }}>
            {conflicts > 0
              ? `Left out: ${conflicts} of its facts are otherwise here than in the file.`
              : known === 0
                ? `New: ${news.length} facts${photos.length > 0 ? `, ${photos.length} photos` : ""}`
                : news.length + photos.length === 0
                  ? "Here already, all of it"
                  : `Adds ${news.length} facts and ${photos.length} photos to ${known} that are here`}
          </Typography>
        </Box>
      ))}
      {plan.jobs.length > LISTED ? <li>and {plan.jobs.length - LISTED} more</li> : null}
    </Box>
  );
}

/** What several files hold, together. */
async function readAll(files: readonly File[]): Promise<ReadArchive> {
  const read: ReadArchive[] = [];
  for (const file of files) {
    if (file.size > MOST_FILE_BYTES)
      throw new Error(`“${file.name}” has ${Math.round(file.size / 1e6)} MB; up to 400 MB are read.`);
    read.push(await readArchive(file.name, new Uint8Array(await file.arrayBuffer())));
  }
  return {
    jobs: read.flatMap(({ jobs }) => jobs),
    shop: read.find(({ shop }) => shop)?.shop ?? null,
    faults: read.flatMap(({ faults }) => faults),
  };
}

function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : "These files cannot be read.";
}

const HIDDEN = { position: "absolute", width: 1, height: 1, opacity: 0 } as const;
