"use client";

import Box from "@mui/material/Box";
import { useId } from "react";
import type { PlateField, PlateReading } from "@/core";
import { TurnPicture } from "../parts/TurnPicture";
import { MONO } from "../theme/faces";
import { useWords } from "../words/UsageProvider";
import { STAMPED } from "./plateLayout";
import { useKeptField } from "./useKeptField";

interface Props {
  readonly field: PlateField;
  readonly motor: "old" | "new";
  readonly reading: PlateReading;
  readonly columns: number;
  /** The line typed last put something here. */
  readonly lit: boolean;
}

const MOST_LETTERS = 60;

/** A cell of the drawn plate: what is stamped there, typed in place, said in full below. */
export function PlateCell({ field, motor, reading, columns, lit }: Props) {
  const words = useWords();
  const { kept, text, setText, keep } = useKeptField(field, motor);
  const id = useId();
  const fault = reading.faults[field.id];
  const says = kept === "" ? null : field.say(reading.plate);
  const shown = fault?.says ?? (field.choices ? null : says);
  const entry = {
    display: "block",
    width: "100%",
    minHeight: 34,
    p: 0,
    font: "inherit",
    fontWeight: 700,
    color: "text.primary",
    bgcolor: "transparent",
    border: 0,
    borderRadius: 0,
  } as const;
  return (
    <Box
      data-lit={lit || undefined}
      sx={{
        gridColumn: { xs: columns > 4 ? "1 / -1" : "span 6", sm: `span ${columns}` },
        minWidth: 0,
        px: 2,
        py: 0.75,
        boxShadow: lit ? "inset 0 -4px 0 var(--mui-palette-primary-main)" : "none",
        outline: fault ? "2px solid var(--mui-palette-warning-main)" : "none",
        outlineOffset: -2,
      }}
    >
      <Box
        component="label"
        htmlFor={id}
        sx={{
          display: "block",
          fontSize: "0.875rem",
          letterSpacing: "0.04em",
          color: "text.secondary",
          whiteSpace: "nowrap",
          overflow: "hidden",
          textOverflow: "ellipsis",
        }}
      >
        {STAMPED[field.id] ?? field.title.toUpperCase()}
      </Box>
      {field.choices ? (
        <Box
          component="select"
          id={id}
          aria-label={words(`${field.title}, ${motor} motor`)}
          value={field.choices[kept] === undefined ? "" : kept}
          onChange={(event) => keep(event.target.value)}
          sx={{ ...entry, color: kept === "" ? "text.secondary" : "text.primary" }}
        >
          <option value="">—</option>
          {Object.entries(field.choices).map(([key, word]) => (
            <option key={key} value={key}>
              {word}
            </option>
          ))}
        </Box>
      ) : (
        <Box
          component="input"
          id={id}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onBlur={() => keep(text)}
          onKeyDown={(event) => event.key === "Enter" && keep(text)}
          aria-label={words(`${field.title}, ${motor} motor`)}
          aria-invalid={fault !== undefined}
          aria-describedby={shown ? `${id}-says` : undefined}
          maxLength={MOST_LETTERS}
          autoComplete="off"
          autoCapitalize="off"
          spellCheck={false}
          sx={{ ...entry, fontFamily: MONO, fontSize: "1.0625rem" }}
        />
      )}
      {field.id === "rotation" && reading.plate.rotation && reading.plate.rotation !== "either" ? (
        <TurnPicture rotation={reading.plate.rotation} />
      ) : null}
      {shown ? (
        <Box
          id={`${id}-says`}
          role={fault ? "alert" : undefined}
          sx={{
            color: fault ? "warning.main" : "success.main",
            fontWeight: fault ? 600 : 400,
            fontSize: "0.875rem",
            lineHeight: 1.25,
          }}
        >
          {shown}
        </Box>
      ) : null}
    </Box>
  );
}
