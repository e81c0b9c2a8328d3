"use client";

import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import { useId } from "react";
import type { PlateField, PlateReading } from "@/core";
import { MONO, TOUCH } from "../theme/theme";
import { useWords } from "../words/UsageProvider";
import { useKeptField } from "./useKeptField";

interface Props {
  readonly field: PlateField;
  readonly motor: "old" | "new";
  readonly reading: PlateReading;
  /** Where it stands besides the plate: its own name keeps it apart from the cell of the same field. */
  readonly place?: "asked" | "beside";
}

const MOST_LETTERS = 60;

/** One field of a plate: typed as it stands there, kept as typed, said in full below. */
export function PlateFieldEntry({ field, motor, reading, place = "beside" }: Props) {
  const words = useWords();
  const { kept, text, setText, keep } = useKeptField(field, motor);
  const id = useId();
  const fault = reading.faults[field.id];
  const says = kept === "" ? null : field.say(reading.plate);
  const label =
    place === "asked" ? words(`${field.title}, asked for`) : words(`${field.title}, ${motor} motor`);
  const frame = {
    width: "100%",
    minHeight: TOUCH,
    px: 2,
    color: "text.primary",
    bgcolor: "background.paper",
    border: "1px solid",
    borderColor: fault ? "warning.main" : "divider",
  };
  return (
    <Box sx={{ minWidth: 0 }}>
      <Box
        component="label"
        htmlFor={id}
        sx={{
          display: place === "asked" ? "none" : "block",
          fontSize: "0.875rem",
          color: "text.secondary",
        }}
      >
        {words(field.title)}
      </Box>
      {field.choices ? (
        <Box
          component="select"
          id={id}
          aria-label={label}
          value={field.choices[kept] === undefined ? "" : kept}
          onChange={(event) => keep(event.target.value)}
          sx={{ ...frame, font: "inherit" }}
        >
          <option value="">not known</option>
          {Object.entries(field.choices).map(([key, word]) => (
            <option key={key} value={key}>
              {word}
            </option>
          ))}
        </Box>
      ) : (
        <InputBase
          id={id}
          value={text}
          placeholder={field.example}
          onChange={(event) => setText(event.target.value)}
          onBlur={() => keep(text)}
          onKeyDown={(event) => event.key === "Enter" && keep(text)}
          inputProps={{
            "aria-label": label,
            maxLength: MOST_LETTERS,
            autoComplete: "off",
            autoCapitalize: "off",
            spellCheck: false,
            "aria-invalid": fault !== undefined,
            "aria-describedby": fault || says ? `${id}-says` : undefined,
          }}
          sx={{ ...frame, fontFamily: MONO }}
        />
      )}
      {fault ? (
        <Box
          id={`${id}-says`}
          role="alert"
          sx={{ color: "warning.main", fontWeight: 600, fontSize: "0.875rem", lineHeight: 1.35, mt: 0.5 }}
        >
          {words(fault.says)}
        </Box>
      ) : says && !field.choices ? (
        <Box
          id={`${id}-says`}
          sx={{ color: "success.main", fontSize: "0.875rem", lineHeight: 1.35, mt: 0.5 }}
        >
          {says}
        </Box>
      ) : null}
    </Box>
  );
}
