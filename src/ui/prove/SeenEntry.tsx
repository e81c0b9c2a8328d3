"use client";

import Box from "@mui/material/Box";
import type { NextCheck, ProvingObservation } from "@/core/proving";
import { localDay } from "../parts/useLocalDay";
import { askWords, HOW_WORDS, UNIT } from "./checkWords";
import { FigureEntry } from "./FigureEntry";
import { useSourceFor } from "./Instruments";
import { InsulationEntry } from "./InsulationEntry";
import { LiveFigure } from "./LiveFigure";
import { PressureEntry } from "./PressureEntry";
import { Touches } from "./Touches";
import { useNames } from "./useNames";

/** The turns as they are said aloud, from a named end. */
const TURNS = {
  "cw-shaft": "CW, seen from the shaft end",
  "ccw-shaft": "CCW, seen from the shaft end",
  "cw-lead": "CW, seen from the lead end",
  "ccw-lead": "CCW, seen from the lead end",
} as const;

/** The place for the answer to a check: touches for what an eye tells, a figure for what an instrument shows. */
export function SeenEntry({
  check,
  onSeen,
}: {
  check: NextCheck;
  onSeen: (seen: ProvingObservation) => void;
}) {
  const names = useNames();
  const label = askWords(check, names);
  const unit = UNIT[check.what] ?? "";
  const source = useSourceFor(check);
  switch (check.what) {
    case "starts":
      return (
        <>
          {source ? <LiveFigure source={source} check={check} onTake={null} /> : null}
          <Touches
            label={label}
            words={HOW_WORDS}
            onTouch={(how) => onSeen({ what: "starts", call: check.call, how })}
          />
        </>
      );
    case "turn":
      return (
        <>
          {source ? <LiveFigure source={source} check={check} onTake={null} /> : null}
          <Touches
            label={label}
            words={TURNS}
            onTouch={(way) =>
              onSeen({
                what: "turn",
                call: check.call,
                seen: way.startsWith("ccw") ? "ccw" : "cw",
                end: way.endsWith("shaft") ? "shaft" : "lead",
              })
            }
          />
        </>
      );
    case "pressure":
      return <PressureEntry key={label} check={check} label={label} onSeen={onSeen} />;
    case "insulation": {
      const take = (value: number | "open") =>
        onSeen({
          what: "insulation",
          on: localDay(new Date()),
          lead: check.lead,
          ...(value === "open" ? { megohms: LEAST_TOP_MEGOHMS, orMore: true } : { megohms: value }),
        });
      return (
        <>
          {source ? <LiveFigure source={source} check={check} onTake={take} /> : null}
          <InsulationEntry key={label} check={check} label={label} onSeen={onSeen} />
        </>
      );
    }
    case "start-amps":
      return (
        <Box>
          {source ? <LiveFigure source={source} check={check} onTake={null} /> : null}
          <FigureEntry
            label={label}
            unit={unit}
            second="seconds"
            onFigure={(peak, seconds) =>
              peak === "open"
                ? undefined
                : onSeen({ what: "start-amps", call: check.call, lead: check.lead, peak, seconds })
            }
          />
        </Box>
      );
    default: {
      const take = (value: number | "open") => {
        const seen = figureSeen(check, value);
        if (seen) onSeen(seen);
      };
      return (
        <>
          {source ? <LiveFigure source={source} check={check} onTake={take} /> : null}
          <FigureEntry key={label} label={label} unit={unit} open={check.what === "ohms"} onFigure={take} />
        </>
      );
    }
  }
}

/** An insulation tester whose range ended reads at least this: the smallest end at 500 V (megohms). */
const LEAST_TOP_MEGOHMS = 100;

/** A figure as the observation of its check. */
function figureSeen(
  check: Exclude<NextCheck, { what: "starts" | "turn" | "start-amps" | "insulation" | "pressure" }>,
  value: number | "open",
): ProvingObservation | null {
  if (check.what === "ohms")
    return value === "open"
      ? { what: "ohms", between: check.between, open: true }
      : { what: "ohms", between: check.between, ohms: value };
  if (value === "open") return null;
  switch (check.what) {
    case "line-amps":
      return { what: "line-amps", call: check.call, lead: check.lead, amps: value };
    case "capacitor-amps":
      return { what: "capacitor-amps", call: check.call, at: check.at, amps: value };
    case "capacitor-volts":
      return { what: "capacitor-volts", call: check.call, at: check.at, volts: value };
    case "supply-volts":
      return { what: "supply-volts", call: check.call, between: check.between, volts: value };
    case "rpm":
      return { what: "rpm", call: check.call, rpm: value };
    case "capacitor-microfarads":
      return { what: "capacitor-microfarads", at: check.at, microfarads: value };
    default:
      return null;
  }
}
