import {
  type ClipboardEvent,
  type FormEvent,
  type KeyboardEvent,
  type RefObject,
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import { flushSync } from "react-dom";
import { type OhmsShown, ohmsDigits } from "@/core";
import {
  useForesee,
  useIsAsking,
  useIsDrawn,
  useIsShown,
  useJob,
  useLeadNames,
  useWorking,
} from "../job/JobContext";
import { enteredLine, readingAt } from "./enteredLine";
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
  /** Told of a value that a meter has come to rest on: it may be held next. */
  readonly awaited: (shown: OhmsShown) => void;
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
  const foresee = useForesee();
  const { resolutionOhms } = job.meter;
  const [typed, setTyped] = useState(NOTHING);
  // What was typed last, which a drawing may be behind, and what of it was entered.
  const latest = useRef(NOTHING);
  const taken = useRef<{ readonly typed: Typed; readonly isDrawn: boolean } | null>(null);
  const kept = useCallback((): Kept => {
    if (taken.current?.typed !== latest.current) return "not";
    return taken.current.isDrawn ? "drawn" : "kept";
  }, []);
  const isDrawn = useIsDrawn(useCallback(() => kept() === "kept", [kept]));
  const isGone = typed === taken.current?.typed && (isDrawn || taken.current.isDrawn);
  const text = isGone ? "" : typed.text;
  useLayoutEffect(() => {
    if (isDrawn && taken.current) taken.current = { ...taken.current, isDrawn: true };
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

  /** Where a value goes that names no leads: nowhere while a reading is weighed, for the pair asked for has been read. */
  const aimed = useCallback(() => (isChosen || !isAsking() ? target : null), [target, isChosen, isAsking]);

  const held = useCallback(
    (shown: OhmsShown) => {
      const at = aimed();
      if (!at) return null;
      const fact = add(readingAt(at, digitsOf(shown, resolutionOhms), shown));
      onChoose(null);
      return fact;
    },
    [aimed, add, onChoose, resolutionOhms],
  );

  const awaited = useCallback(
    (shown: OhmsShown) => {
      const at = aimed();
      if (at) foresee(readingAt(at, digitsOf(shown, resolutionOhms), shown));
    },
    [aimed, foresee, resolutionOhms],
  );

  useEffect(() => {
    // What was entered stands there until it is drawn; it is asked about already.
    const line = kept() === "not" ? text : "";
    const entered = enteredLine(line, shortNames, aimed());
    foresee(entered.kind === "reading" ? entered.body : null);
  }, [text, shortNames, aimed, foresee, kept]);

  const enter = (line: string) => {
    const entered = enteredLine(line, shortNames, aimed());
    if (entered.kind === "picked") {
      onChoose(entered.target);
      setText("");
      return;
    }
    if (entered.kind !== "reading") {
      put(line);
      setFault(entered.kind === "no-reading" ? entered.says : whyNowhere(entered.isNamed, isAsking()));
      return;
    }
    add(entered.body);
    setFault(null);
    onChoose(null);
    // Drawn before the next key, whenever that comes: else it would be typed after what was entered.
    if (isShown()) flushSync(() => setText(""));
    else taken.current = { typed: latest.current, isDrawn: false };
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
    awaited,
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

/** What a meter shows, as it would be typed. */
function digitsOf(shown: OhmsShown, resolutionOhms: number): string {
  return "open" in shown ? "OL" : ohmsDigits(shown.ohms, resolutionOhms);
}
