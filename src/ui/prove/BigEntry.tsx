"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import { type FormEvent, type ReactNode, useState } from "react";
import { CLEARS } from "../parts/earlyTouches";
import { FieldFault } from "../parts/FieldFault";
import { FIGURE_FIELD } from "../theme/fields";

/** A large field for what an instrument shows, with its Enter; what is taken leaves it empty, what is not stays with its fault. */
export function BigEntry({
  label,
  unit,
  letters,
  beside,
  below,
  onEnter,
}: {
  label: string;
  unit: string;
  /** Letters may be typed as well: OL, a unit. */
  letters: boolean;
  /** A second field between this one and its Enter. */
  beside?: ReactNode;
  below?: ReactNode;
  /** Takes what was typed; null where it was taken, else what is wrong with it in plain words. */
  onEnter: (typed: string) => string | null;
}) {
  const [text, setText] = useState("");
  const [fault, setFault] = useState("");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const wrong = onEnter(text.trim());
    setFault(wrong ?? "");
    if (wrong === null) setText("");
  };
  return (
    <Box component="form" onSubmit={submit} {...CLEARS}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "stretch" }}>
        <InputBase
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setFault("");
          }}
          placeholder={unit}
          inputProps={{
            "aria-label": label,
            "aria-describedby": "figure-fault",
            inputMode: letters ? "text" : "decimal",
            autoComplete: "off",
            maxLength: 20,
            "data-undo": "job",
          }}
          error={fault !== ""}
          sx={FIGURE_FIELD}
        />
        {beside}
        <Button type="submit" variant="contained" sx={{ minHeight: 64, px: 5, fontSize: "1.0625rem" }}>
          Enter
        </Button>
      </Box>
      {below}
      <FieldFault id="figure-fault">{fault}</FieldFault>
    </Box>
  );
}
