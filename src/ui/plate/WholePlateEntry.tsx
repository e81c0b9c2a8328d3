"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { type FormEvent, useId, useState } from "react";
import { PLATE_FIELDS, type PlateFieldId, readPlateLine } from "@/core";
import { useJob } from "../job/JobContext";
import { FieldLabel } from "../parts/FieldLabel";
import { MONO } from "../theme/faces";
import { MAIN_FIELD } from "../theme/fields";

const MOST_LETTERS = 200;

/** The whole plate typed in one line, as it stands there; each piece goes to its field. */
export function WholePlateEntry({
  motor,
  onPlaced,
  focused = false,
}: {
  motor: "old" | "new";
  /** The fields that the line went to. */
  onPlaced?: (fields: readonly PlateFieldId[]) => void;
  /** Has the cursor when the screen comes: where the plate is the first thing to be typed. */
  focused?: boolean;
}) {
  const { job, add } = useJob("plates");
  const [line, setLine] = useState("");
  const [says, setSays] = useState<string | null>(null);
  const enter = (event: FormEvent) => {
    event.preventDefault();
    const { typed, left, asked } = readPlateLine(line);
    const found = PLATE_FIELDS.filter(({ id }) => typed[id] !== undefined);
    for (const { id } of found) {
      const text = typed[id] ?? "";
      if (job.plates[motor][id] !== text) add({ kind: "plate", motor, field: id, typed: text });
    }
    onPlaced?.(found.map(({ id }) => id));
    const names = found.map(({ title }) => title.toLowerCase()).join(", ");
    setSays(
      found.length === 0
        ? "Nothing in it could be placed. Mark the figures as a plate does: 1/3 HP, 1075 RPM, 208-230V, 2.6A."
        : [
            `Taken: ${names}.`,
            left ? `Not read: ${left}.` : "",
            ...asked.map((fault) => `Not taken: ${fault.says}`),
          ]
            .filter(Boolean)
            .join(" "),
    );
    setLine(found.length === 0 ? line : left);
  };
  const id = useId();
  return (
    <Box component="form" onSubmit={enter} noValidate sx={{ mb: 3 }}>
      <FieldLabel of={id}>The whole plate in one line, {motor} motor</FieldLabel>
      <Box sx={{ display: "flex", gap: 2 }}>
        <InputBase
          id={id}
          value={line}
          autoFocus={focused}
          placeholder="1/3 HP 1075/3SPD 208-230V 60HZ 2.6A 5MFD 370V CWLE"
          onChange={(event) => setLine(event.target.value)}
          inputProps={{ maxLength: MOST_LETTERS, autoComplete: "off", spellCheck: false }}
          sx={{ ...MAIN_FIELD, fontFamily: MONO }}
        />
        <Button type="submit" variant="contained" disabled={line.trim() === ""} sx={{ minHeight: 56 }}>
          Enter
        </Button>
      </Box>
      {says ? (
        <Typography role="status" sx={{ mt: 1, fontSize: "0.875rem" }}>
          {says}
        </Typography>
      ) : null}
    </Box>
  );
}
