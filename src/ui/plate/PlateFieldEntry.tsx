"use client";

import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import { useId } from "react";
import type { PlateField, PlateReading } from "@/core";
import { FieldFault } from "../parts/FieldFault";
import { FieldLabel } from "../parts/FieldLabel";
import { PlainChoice } from "../parts/PlainChoice";
import { MONO } from "../theme/faces";
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
  return (
    <Box sx={{ minWidth: 0 }}>
      {place === "asked" ? null : <FieldLabel of={id}>{words(field.title)}</FieldLabel>}
      {field.choices ? (
        <PlainChoice
          id={id}
          name={label}
          value={field.choices[kept] === undefined ? "" : kept}
          onChange={keep}
        >
          <option value="">not known</option>
          {Object.entries(field.choices).map(([key, word]) => (
            <option key={key} value={key}>
              {word}
            </option>
          ))}
        </PlainChoice>
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
            "aria-describedby": fault || says ? `${id}-says` : undefined,
          }}
          error={fault !== undefined}
          sx={{ width: "100%", fontFamily: MONO }}
        />
      )}
      {fault ? (
        <FieldFault id={`${id}-says`}>{words(fault.says)}</FieldFault>
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
