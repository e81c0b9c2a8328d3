"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { type RefObject, useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import { formatOhms, type OhmsShown, ohmsDigits } from "@/core";
import { useJob, useLeadNames, useWorking } from "../job/JobContext";
import { Trouble } from "../parts/Trouble";
import { MONO } from "../theme/faces";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";
import { HandsFree } from "./HandsFree";
import type { Target } from "./target";
import { useHandsFree } from "./useHandsFree";
import { type LiveReading, type MeterSource, useMeter } from "./useMeter";

interface Props {
  readonly source: MeterSource;
  readonly target: Target | null;
  /** Keeps a value for the target; gives the fact's id, or null where there is no target. */
  readonly onHold: (shown: OhmsShown) => string | null;
  /** Told of a value that the display has come to rest on. */
  readonly onSteady: (shown: OhmsShown) => void;
  /** Filled with what Enter in the empty field does: hold now, or as soon as the display has come to rest. */
  readonly hold: RefObject<(() => boolean) | null>;
}

/** A meter that streams: its display as it moves and comes to rest, and a touch, or no hand at all, to take the value. */
export function LiveMeter({ source, target, onHold, onSteady, hold }: Props) {
  const { job } = useJob("meter");
  const words = useWords();
  const { names } = useLeadNames();
  const working = useWorking();
  const [attempt, setAttempt] = useState(0);
  const [handsFree, setHandsFree] = useState(false);
  const [aloud, setAloud] = useState(false);
  const { meter } = job;
  const each = useRef<(shown: OhmsShown) => void>(() => undefined);
  const lifts = handsFree && source.kind === "stand-in";
  const reading = useMeter(source, meter, target, attempt, lifts, each);
  const long = (lead: string) => words(names.get(lead)?.long ?? lead);
  const saysValue = useCallback(
    (shown: OhmsShown) =>
      "open" in shown ? "Open." : `${ohmsDigits(shown.ohms, meter.resolutionOhms)} ohms.`,
    [meter.resolutionOhms],
  );
  const free = useHandsFree(each, target, meter, onHold, {
    on: handsFree,
    aloud,
    // While the next pair is worked out there is nothing to say yet.
    asks: !target && working ? "" : asksOf(target, long),
    saysValue,
  });
  const steady = reading.state === "live" && target ? reading.steady : null;
  const place = target ? JSON.stringify(target) : null;
  /** Where a value is to be taken as soon as it stands still. */
  const [awaited, setAwaited] = useState<string | null>(null);
  const waits = awaited !== null && awaited === place;

  useEffect(() => {
    if (!waits || !steady) return;
    setAwaited(null);
    onHold(steady);
  }, [waits, steady, onHold]);

  // The same value comes as a new object with every one that arrives.
  const stands = steady ? JSON.stringify(steady) : "";
  useEffect(() => {
    if (stands !== "") onSteady(JSON.parse(stands) as OhmsShown);
  }, [stands, onSteady]);

  useLayoutEffect(() => {
    hold.current = () => {
      if (reading.state !== "live" || !place) return false;
      setAwaited(place);
      return true;
    };
    return () => {
      hold.current = null;
    };
  }, [hold, reading.state, place]);

  const simulated = source.kind === "stand-in";
  return (
    <Box
      component="section"
      aria-label={simulated ? "Simulated meter" : "Meter at its address"}
      sx={{ mt: 2, border: "1.5px solid", borderColor: "text.primary", p: 3 }}
    >
      <Typography sx={{ fontSize: "0.875rem", color: "text.secondary" }}>
        {simulated
          ? "Simulated meter on a virtual motor with these leads. Its values are made up: practice here, not on a customer’s record."
          : `The meter at ${source.address.host}${reading.state === "live" ? `: ${reading.identity}` : ""}.`}
      </Typography>
      {reading.state === "lost" ? (
        <>
          <Trouble sx={{ mt: 2 }}>{reading.says}</Trouble>
          <Button color="inherit" onClick={() => setAttempt(attempt + 1)} sx={{ mt: 2, minHeight: TOUCH }}>
            Attach again
          </Button>
        </>
      ) : (
        <>
          <Box sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", gap: 4, mt: 1 }}>
            <Box
              role="status"
              aria-label="Display"
              aria-live="off"
              sx={{ fontFamily: MONO, fontSize: "2.5rem", fontWeight: 700, minWidth: 200 }}
            >
              {reading.state === "live" && target ? displayed(reading.shown, meter.resolutionOhms) : "– – –"}
            </Box>
            <Typography
              sx={{ minWidth: 90, color: steady ? "success.main" : "text.secondary", fontWeight: 600 }}
            >
              {!target ? "probes lifted" : waits ? "taken when steady" : stateWord(reading)}
            </Typography>
            <Button
              variant="contained"
              disabled={reading.state !== "live" || !target}
              aria-pressed={waits}
              onClick={() => setAwaited(waits ? null : place)}
              sx={{ minHeight: 56, px: 6, ml: "auto" }}
            >
              Hold
            </Button>
          </Box>
          <HandsFree
            on={handsFree}
            onChange={setHandsFree}
            aloud={aloud}
            onAloud={setAloud}
            taken={free.taken}
            signed={free.signed}
            onStrike={free.strike}
          />
        </>
      )}
    </Box>
  );
}

function stateWord(reading: LiveReading): string {
  if (reading.state !== "live") return "attaching";
  return reading.steady ? "steady" : "settling";
}

/** What to touch, as it is said aloud. */
function asksOf(target: Target | null, long: (lead: string) => string): string {
  if (!target) return "Nothing more to touch.";
  if (target.kind === "shell") return `${long(target.lead)} to the shell.`;
  return `${long(target.between[0])} to ${long(target.between[1])}.`;
}

function displayed(shown: OhmsShown | null, resolutionOhms: number): string {
  if (!shown) return "– – –";
  return "open" in shown ? "OL" : formatOhms(shown.ohms, resolutionOhms);
}
