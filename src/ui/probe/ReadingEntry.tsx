"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import {
  type ClipboardEvent,
  type FormEvent,
  type KeyboardEvent,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import { type Identification, type OhmsShown, ohmsDigits, parseOhms } from "@/core";
import { useAnswer, useJob, useLeadNames, useWorking } from "../job/JobContext";
import { NOW } from "../job/nextStep";
import { brought } from "../parts/brought";
import { CLEARS } from "../parts/earlyTouches";
import { useInstrumentAddress } from "../parts/instrumentAddress";
import { LeadTag } from "../parts/LeadTag";
import { WHEN_SLOW } from "../parts/whenSlow";
import { MONO, TOUCH } from "../theme/theme";
import { readEntry } from "./entryGrammar";
import { Keypad } from "./Keypad";
import { allPairs, sameTarget, type Target } from "./target";
import type { MeterSource } from "./useMeter";

const LiveMeter = dynamic(() => brought(import("./LiveMeter").then((made) => made.LiveMeter)));
const PasteEntry = dynamic(() => brought(import("./PasteEntry").then((made) => made.PasteEntry)));

interface Props {
  readonly target: Target | null;
  /** True when a person picked the target; false when it is the one asked for. */
  readonly isChosen: boolean;
  readonly onChoose: (target: Target | null) => void;
  /** The simulated meter is attached from the start. */
  readonly simulated?: boolean;
}

/** Colour of the rule over the entry when nothing is asked for. */
const CALM: Readonly<Record<Identification["status"], string>> = {
  settled: "success.main",
  "needs-probe": "divider",
  tied: "warning.main",
  conflict: "warning.main",
  fault: "error.main",
};

/** The two leads to touch now, and the value that goes in: type, Enter, next. */
export function ReadingEntry({ target, isChosen, onChoose, simulated = false }: Props) {
  const { id, job, add } = useJob("leads", "meter");
  const answer = useAnswer();
  const { names } = useLeadNames();
  const working = useWorking();
  const leads = useMemo(() => job.leads.map((lead) => lead.id), [job.leads]);
  const [text, setText] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const [keypad, setKeypad] = useState(false);
  const [pasted, setPasted] = useState<string | null>(null);
  const [live, setLive] = useState<MeterSource | null>(() =>
    simulated ? { kind: "stand-in", leads, seed: seedOf(id) } : null,
  );
  const [address] = useInstrumentAddress("ohms");
  const hold = useRef<(() => boolean) | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const shortNames = useMemo(() => new Map([...names].map(([id, name]) => [id, name.short])), [names]);
  /** What is wrong with the entry; that it must wait is so only while it must. */
  const said = fault === MUST_WAIT && !working ? null : fault;
  const targetKey = target ? JSON.stringify(target) : "";

  useEffect(() => {
    // A pair picked in the table or the loom is meant to be typed next.
    if (targetKey !== "" && isChosen) field.current?.focus();
  }, [targetKey, isChosen]);

  const keep = useCallback(
    (at: Target, typed: string, shown: OhmsShown): string => {
      const value = "open" in shown ? ({ typed, open: true } as const) : { typed, ohms: shown.ohms };
      return at.kind === "pair"
        ? add({ kind: "pair-reading", between: [at.between[0], at.between[1]], ...value })
        : add({ kind: "shell-reading", lead: at.lead, ...value });
    },
    [add],
  );

  const held = useCallback(
    (shown: OhmsShown) => {
      if (!target) return null;
      const typed = "open" in shown ? "OL" : ohmsDigits(shown.ohms, job.meter.resolutionOhms);
      const fact = keep(target, typed, shown);
      onChoose(null);
      return fact;
    },
    [target, keep, onChoose, job.meter.resolutionOhms],
  );

  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() === "" && hold.current?.()) return;
    enter(text);
  };

  const enter = (line: string) => {
    const entry = readEntry(line, shortNames);
    const meant = entry.leads.length > 0 || entry.shell ? targetOf(entry.leads, entry.shell) : target;
    if (meant && entry.value === "" && entry.leads.length > 0) {
      onChoose(meant);
      setText("");
      setFault(null);
      return;
    }
    const parsed = parseOhms(entry.value);
    if (!meant || !parsed.ok) setText(line);
    if (!parsed.ok && (meant || entry.value !== "")) {
      setFault(parsed.faults[0]?.says ?? "That is not a reading.");
      return;
    }
    if (!meant || !parsed.ok) {
      setFault(whyNowhere(entry.leads.length > 0, working));
      return;
    }
    keep(meant, parsed.typed, parsed.shown);
    setText("");
    setFault(null);
    onChoose(null);
    if (!keypad) field.current?.focus();
  };

  /** Several lines at once are a table and open the place for one; a single line goes into the field as usual. */
  const onPaste = (event: ClipboardEvent) => {
    const clip = event.clipboardData.getData("text");
    if (!/\n.*\S/.test(clip.trim())) return;
    event.preventDefault();
    setPasted(clip);
  };

  const step = (by: number) => {
    const pairs = allPairs(job.leads);
    const at = pairs.findIndex((pair) => sameTarget(pair, target));
    const next = pairs[(at + by + pairs.length) % pairs.length];
    if (next) onChoose(next);
  };

  const onKey = (event: KeyboardEvent) => {
    if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      event.preventDefault();
      step(event.key === "ArrowDown" ? 1 : -1);
    }
    if (event.key === "Escape") {
      setText("");
      setFault(null);
      onChoose(null);
    }
  };

  return (
    <Box
      component="section"
      aria-label="Reading"
      aria-busy={working}
      sx={{
        borderTop: "3px solid",
        borderColor: target ? "primary.main" : answer ? CALM[answer.status] : "divider",
        pt: 3,
      }}
    >
      <Box id={NOW} aria-live="polite" sx={{ minHeight: 84, scrollMarginTop: 8 }}>
        <TargetLine target={target} isChosen={isChosen} because={answer?.nextProbe?.because ?? null} />
      </Box>
      <Box component="form" onSubmit={submit} {...CLEARS}>
        <Box sx={{ display: "flex", gap: 2 }}>
          <InputBase
            inputRef={field}
            value={text}
            onChange={(event) => {
              setText(event.target.value);
              setFault(null);
            }}
            onKeyDown={onKey}
            onPaste={onPaste}
            placeholder="ohms / OL"
            autoFocus
            inputProps={{
              "aria-label": "Reading in ohms, or OL for open",
              "data-undo": "job",
              autoComplete: "off",
              spellCheck: false,
              inputMode: keypad ? "none" : undefined,
              maxLength: 60,
              "aria-invalid": said !== null,
              "aria-describedby": "reading-fault reading-help",
            }}
            sx={{
              flex: 1,
              minWidth: 0,
              border: "2px solid",
              borderColor: said ? "warning.main" : "text.primary",
              px: 3,
              minHeight: 64,
              fontFamily: MONO,
              fontSize: "1.75rem",
              bgcolor: "background.paper",
            }}
          />
          <Button type="submit" variant="contained" sx={{ minHeight: 64, px: 6, fontSize: "1.0625rem" }}>
            Enter
          </Button>
          <Button
            color="inherit"
            sx={{ minHeight: 64, minWidth: TOUCH, px: 4, fontFamily: MONO, fontSize: "1.125rem" }}
            onClick={() => {
              setText((before) => `${before.trim()} OL`.trim());
              field.current?.focus();
            }}
            aria-label="Put OL for over range into the field"
          >
            OL
          </Button>
        </Box>
        {keypad ? (
          <Keypad
            text={text}
            onText={(next) => {
              setText(next);
              setFault(null);
            }}
          />
        ) : null}
      </Box>
      <Box id="reading-fault" role="alert" sx={{ color: "warning.main", fontWeight: 600, mt: said ? 1 : 0 }}>
        {said}
      </Box>
      <Box sx={{ display: "flex", gap: 2, mt: 2 }}>
        <Button
          color="inherit"
          size="small"
          aria-pressed={keypad}
          onClick={() => setKeypad(!keypad)}
          sx={{ minHeight: 44 }}
        >
          {keypad ? "Hide keypad" : "Keypad"}
        </Button>
        <Button
          color="inherit"
          size="small"
          aria-expanded={pasted !== null}
          onClick={() => setPasted(pasted === null ? "" : null)}
          sx={{ minHeight: 44 }}
        >
          Paste a table
        </Button>
        {live ? (
          <Button color="inherit" size="small" onClick={() => setLive(null)} sx={{ minHeight: 44 }}>
            Detach the meter
          </Button>
        ) : (
          <>
            {address ? (
              <Button
                color="inherit"
                size="small"
                onClick={() => setLive({ kind: "address", address })}
                sx={{ minHeight: 44 }}
              >
                Attach the meter
              </Button>
            ) : null}
            <Button
              color="inherit"
              size="small"
              onClick={() => setLive({ kind: "stand-in", leads, seed: seedOf(id) })}
              sx={{ minHeight: 44 }}
            >
              Simulated meter
            </Button>
          </>
        )}
      </Box>
      {live ? (
        <LiveMeter
          source={live.kind === "stand-in" ? { ...live, leads } : live}
          target={target}
          onHold={held}
          hold={hold}
        />
      ) : null}
      {pasted === null ? null : (
        <PasteEntry
          text={pasted}
          onText={setPasted}
          onDone={() => {
            setPasted(null);
            field.current?.focus();
          }}
        />
      )}
      <Typography id="reading-help" sx={{ color: "text.secondary", fontSize: "0.875rem", mt: 1 }}>
        ↑ ↓ another pair · “{exampleNames(shortNames)} 12.4” any pair · “
        {exampleNames(shortNames).split(" ")[0]} shell OL” to the shell · Esc back to the pair asked for
      </Typography>
    </Box>
  );
}

const MUST_WAIT = "What to touch next is still being worked out; this value has no place yet.";

/** Why a value has no place to go. */
function whyNowhere(named: boolean, working: boolean): string {
  if (named) return "Name two leads, or one lead and “shell”.";
  if (working) return MUST_WAIT;
  return "Name the two leads first, such as WH BK 12.4.";
}

function exampleNames(names: ReadonlyMap<string, string>): string {
  return [...names.values()].slice(0, 2).join(" ");
}

function targetOf(leads: readonly string[], shell: boolean): Target | null {
  const [a, b] = leads;
  if (shell) return a ? { kind: "frame", lead: a } : null;
  return a && b ? { kind: "pair", between: [a, b] } : null;
}

function TargetLine({
  target,
  isChosen,
  because,
}: {
  target: Target | null;
  isChosen: boolean;
  because: string | null;
}) {
  const { job } = useJob("shellReadings");
  const answer = useAnswer();
  const { leadOf, short } = useLeadNames();
  const working = useWorking();
  if (!target && working) {
    return (
      <Typography variant="h2" sx={{ fontSize: "1.375rem", ...WHEN_SLOW }}>
        Working out what to touch next
      </Typography>
    );
  }
  if (!target) {
    const stop = answer?.status === "fault";
    const untested = !job.shellReadings.some((reading) => reading.standing);
    return (
      <>
        <Typography variant="h2" sx={{ fontSize: "1.375rem" }}>
          {stop
            ? "Nothing more to read"
            : answer?.status === "tied"
              ? "Ohms have said all they can"
              : "Nothing more is needed"}
        </Typography>
        <Typography sx={{ color: "text.secondary", mt: 1 }}>
          {stop
            ? "The finding stands. A reading taken again replaces the old one."
            : "Any pair may still be read again to check: touch its cell, or type its leads."}
        </Typography>
        {untested ? (
          <Typography sx={{ color: "warning.main", fontWeight: 600, mt: 1 }}>
            No lead has been tested to the shell yet; it must read open before this motor runs.
          </Typography>
        ) : null}
      </>
    );
  }
  const leads = target.kind === "pair" ? target.between : [target.lead];
  return (
    <>
      <Box sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", gap: 3 }}>
        <Box component="span" sx={{ color: "primary.main", fontWeight: 700 }}>
          Touch
        </Box>
        {leads.map((lead, i) => (
          <Box key={lead} component="span" sx={{ display: "inline-flex", alignItems: "center", gap: 3 }}>
            {i > 0 ? "and" : null}
            <LeadTag lead={leadOf(lead)} name={short(lead)} large />
          </Box>
        ))}
        {target.kind === "frame" ? <Box component="span">and bare metal of the shell</Box> : null}
      </Box>
      <Typography sx={{ color: "text.secondary", mt: 1 }}>{isChosen ? "Your pick." : because}</Typography>
    </>
  );
}

/** The same job, the same virtual motor: 32 bits of the job's id (FNV-1a). */
function seedOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}
