"use client";

import InputBase from "@mui/material/InputBase";
import { useState } from "react";
import { parseNumber } from "@/core";
import { MONO } from "../theme/faces";
import { BigEntry } from "./BigEntry";
import { StartClock } from "./StartClock";

const MOST = 20_000;

/** A figure off an instrument: typed, Enter. "OL" is taken where an ohmmeter may show it. */
export function FigureEntry({
  label,
  unit,
  open = false,
  second,
  onFigure,
}: {
  label: string;
  unit: string;
  /** Over range is an answer too. */
  open?: boolean;
  /** A second figure that belongs to the first, such as seconds. */
  second?: string;
  onFigure: (value: number | "open", second: number) => void;
}) {
  const [beside, setBeside] = useState("");
  const enter = (typed: string): string | null => {
    if (open && /^(?:ol|open|o\.l\.?|inf)$/i.test(typed)) {
      onFigure("open", 0);
      return null;
    }
    const value = parseNumber(typed.replace(/[a-zµμΩ]+$/iu, "").trim());
    const more = second === undefined || beside.trim() === "" ? 0 : parseNumber(beside);
    if (value === null || value < 0 || value > MOST)
      return `“${typed}” is no figure here. Write ${unit === "A" ? "3.1" : unit === "V" ? "236" : "1070"}${open ? ", or OL" : ""}.`;
    if (more === null || more < 0 || more > 600) return `“${beside.trim()}” are no seconds.`;
    onFigure(value, more);
    setBeside("");
    return null;
  };
  return (
    <BigEntry
      label={label}
      unit={unit}
      letters={open}
      beside={
        second === undefined ? undefined : (
          <InputBase
            value={beside}
            onChange={(event) => setBeside(event.target.value)}
            placeholder={second}
            inputProps={{ "aria-label": second, inputMode: "decimal", autoComplete: "off", maxLength: 8 }}
            sx={{ width: 110, border: "2px solid", fontFamily: MONO }}
          />
        )
      }
      below={second === undefined ? undefined : <StartClock onSeconds={setBeside} />}
      onEnter={enter}
    />
  );
}
