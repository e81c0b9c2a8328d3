import {
  type ClipboardEvent,
  type FormEvent,
  type KeyboardEvent,
  type RefObject,
  useCallback,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import { flushSync } from "react-dom";
import { type OhmsShown, ohmsDigits, parseOhms } from "@/core";
import { useIsAsking, useIsDrawn, useIsShown, useJob, useLeadNames, useWorking } from "../job/JobContext";
import { readEntry } from "./entryGrammar";
import { allPairs, sameTarget, type Target } from "./target";

interface Aim {
  readonly target: Target | null;
  /** A person picked the target. */
  readonly isChosen: boolean;
  readonly onChoose: (target: Target | null) => void;
  /** Called with the text of several lines that were pasted. */
  readonly onTable: (text: string) => void;
  /** The cursor goes back into the field after each entry; a keypad keeps it out. */
  readonly keepsCursor: boolean;
}

/** The field a reading is typed into. */
export interface ReadingField {
  readonly text: string;
  readonly setText: (text: string) => void;
  /** Changes what stands there, for keys that are not of a keyboard. */
  readonly change: (by: (text: string) => string) => void;
  /** What is wrong with the entry. */
  readonly said: string | null;
  readonly input: RefObject<HTMLInputElement | null>;
  /** Set by a meter that is attached: takes its value where the field is empty. */
  readonly hold: RefObject<(() => boolean) | null>;
  /** Keeps a value that a meter held for the target; null where there is none. */
  readonly held: (shown: OhmsShown) => string | null;
  readonly onSubmit: (event: FormEvent) => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  readonly onPaste: (event: ClipboardEvent) => void;
}

/** What was typed: an object of its own each time, so that what was entered is never taken for what is typed after it. */
interface Typed {
  readonly text: string;
}

const NOTHING: Typed = { text: "" };

/**
 * Whether what was typed last was entered: then it goes from the field when the entry is drawn, with all that this comes
 * to. Emptied at once, the field would be a drawing of its own.
 */
type Kept = "not" | "kept" | "drawn";

/** Type, Enter, next: what is typed goes to the target, or to the leads that are named in it. */
export function useReadingField({ target, isChosen, onChoose, onTable, keepsCursor }: Aim): ReadingField {
  const { job, add } = useJob("leads", "meter");
  const { names } = useLeadNames();
  const working = useWorking();
  const isAsking = useIsAsking();
  const isShown = useIsShown();
  const [typed, setTyped] = useState(NOTHING);
  // What was typed last, which a drawing may be behind, and what of it was entered.
  const latest = useRef(NOTHING);
  const entered = useRef<{ readonly typed: Typed; readonly isDrawn: boolean } | null>(null);
  const kept = useCallback((): Kept => {
    if (entered.current?.typed !== latest.current) return "not";
    return entered.current.isDrawn ? "drawn" : "kept";
  }, []);
  const isDrawn = useIsDrawn(useCallback(() => kept() === "kept", [kept]));
  const isGone = typed === entered.current?.typed && (isDrawn || entered.current.isDrawn);
  const text = isGone ? "" : typed.text;
  useLayoutEffect(() => {
    if (isDrawn && entered.current) entered.current = { ...entered.current, isDrawn: true };
  });
  /** What stands in the field for who types on. */
  const standing = () => (kept() === "not" ? latest.current.text : "");
  const [fault, setFault] = useState<string | null>(null);
  const hold = useRef<(() => boolean) | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const shortNames = useMemo(() => new Map([...names].map(([id, name]) => [id, name.short])), [names]);
  const put = (text: string) => {
    latest.current = { text };
    setTyped(latest.current);
  };
  const setText = (next: string) => {
    put(next);
    setFault(null);
  };

  const keep = useCallback(
    (at: Target, typed: string, shown: OhmsShown): string => {
      const value = "open" in shown ? ({ typed, open: true } as const) : { typed, ohms: shown.ohms };
      return at.kind === "pair"
        ? add({ kind: "pair-reading", between: [at.between[0], at.between[1]], ...value })
        : add({ kind: "shell-reading", lead: at.lead, ...value });
    },
    [add],
  );

  /** Where a value goes that names no leads: nowhere while a reading is weighed, for the pair asked for has been read. */
  const aimed = useCallback(() => (isChosen || !isAsking() ? target : null), [target, isChosen, isAsking]);

  const held = useCallback(
    (shown: OhmsShown) => {
      const at = aimed();
      if (!at) return null;
      const typed = "open" in shown ? "OL" : ohmsDigits(shown.ohms, job.meter.resolutionOhms);
      const fact = keep(at, typed, shown);
      onChoose(null);
      return fact;
    },
    [aimed, keep, onChoose, job.meter.resolutionOhms],
  );

  const enter = (line: string) => {
    const entry = readEntry(line, shortNames);
    const meant = entry.leads.length > 0 || entry.shell ? targetOf(entry.leads, entry.shell) : aimed();
    if (meant && entry.value === "" && entry.leads.length > 0) {
      onChoose(meant);
      setText("");
      return;
    }
    const parsed = parseOhms(entry.value);
    if (!meant || !parsed.ok) put(line);
    if (!parsed.ok && (meant || entry.value !== "")) {
      setFault(parsed.faults[0]?.says ?? "That is not a reading.");
      return;
    }
    if (!meant || !parsed.ok) {
      setFault(whyNowhere(entry.leads.length > 0, isAsking()));
      return;
    }
    keep(meant, parsed.typed, parsed.shown);
    if (isShown()) setText("");
    else entered.current = { typed: latest.current, isDrawn: false };
    setFault(null);
    onChoose(null);
    if (keepsCursor) input.current?.focus();
  };

  const step = (by: number) => {
    const pairs = allPairs(job.leads);
    const at = pairs.findIndex((pair) => sameTarget(pair, target));
    const next = pairs[(at + by + pairs.length) % pairs.length];
    if (next) onChoose(next);
  };

  return {
    text,
    setText,
    change: (by) => setText(by(standing())),
    // That an entry must wait is so only while it must.
    said: fault === MUST_WAIT && !working ? null : fault,
    input,
    hold,
    held,
    onSubmit: (event) => {
      event.preventDefault();
      const line = standing();
      if (line.trim() === "" && hold.current?.()) return;
      enter(line);
    },
    onKeyDown: (event) => {
      // What comes next is typed into an empty field.
      if (kept() === "kept") flushSync(() => setText(""));
      if (event.key === "ArrowDown" || event.key === "ArrowUp") {
        event.preventDefault();
        step(event.key === "ArrowDown" ? 1 : -1);
      }
      if (event.key === "Escape") {
        setText("");
        onChoose(null);
      }
    },
    // Several lines at once are a table; a single line goes into the field as usual.
    onPaste: (event) => {
      const clip = event.clipboardData.getData("text");
      if (!/\n.*\S/.test(clip.trim())) return;
      event.preventDefault();
      onTable(clip);
    },
  };
}

const MUST_WAIT = "What to touch next is still being worked out; this value has no place yet.";

/** Why a value has no place to go. */
function whyNowhere(named: boolean, working: boolean): string {
  if (named) return "Name two leads, or one lead and “shell”.";
  if (working) return MUST_WAIT;
  return "Name the two leads first, such as WH BK 12.4.";
}

function targetOf(leads: readonly string[], shell: boolean): Target | null {
  const [a, b] = leads;
  if (shell) return a ? { kind: "shell", lead: a } : null;
  return a && b ? { kind: "pair", between: [a, b] } : null;
}
