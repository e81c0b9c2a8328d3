"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import { type FormEvent, useState } from "react";
import { parseNumber } from "@/core";
import { CLEARS } from "../parts/earlyTouches";
import { MONO } from "../theme/theme";
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
  const [text, setText] = useState("");
  const [beside, setBeside] = useState("");
  const [fault, setFault] = useState("");
  const enter = (entered: string) => {
    const typed = entered.trim();
    if (open && /^(?:ol|open|o\.l\.?|inf)$/i.test(typed)) {
      onFigure("open", 0);
      setText("");
      return;
    }
    const value = parseNumber(typed.replace(/[a-zµμΩ]+$/iu, "").trim());
    const more = second === undefined || beside.trim() === "" ? 0 : parseNumber(beside);
    if (value === null || value < 0 || value > MOST) {
      setFault(
        `“${typed}” is no figure here. Write ${unit === "A" ? "3.1" : unit === "V" ? "236" : "1070"}${open ? ", or OL" : ""}.`,
      );
      return;
    }
    if (more === null || more < 0 || more > 600) {
      setFault(`“${beside.trim()}” are no seconds.`);
      return;
    }
    onFigure(value, more);
    setText("");
    setBeside("");
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter(text);
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
            "aria-invalid": fault !== "",
            "aria-describedby": "figure-fault",
            inputMode: open ? "text" : "decimal",
            autoComplete: "off",
            maxLength: 20,
            "data-undo": "job",
          }}
          sx={{
            flex: 1,
            minWidth: 0,
            border: "2px solid",
            borderColor: fault ? "warning.main" : "text.primary",
            px: 3,
            minHeight: 64,
            fontFamily: MONO,
            fontSize: "1.75rem",
            bgcolor: "background.paper",
          }}
        />
        {second === undefined ? null : (
          <InputBase
            value={beside}
            onChange={(event) => setBeside(event.target.value)}
            placeholder={second}
            inputProps={{ "aria-label": second, inputMode: "decimal", autoComplete: "off", maxLength: 8 }}
            sx={{ width: 110, border: "2px solid", px: 2, fontFamily: MONO, bgcolor: "background.paper" }}
          />
        )}
        <Button type="submit" variant="contained" sx={{ minHeight: 64, px: 5, fontSize: "1.0625rem" }}>
          Enter
        </Button>
      </Box>
      {second === undefined ? null : <StartClock onSeconds={setBeside} />}
      <Box id="figure-fault" role="alert" sx={{ color: "warning.main", fontWeight: 600, mt: fault ? 1 : 0 }}>
        {fault}
      </Box>
    </Box>
  );
}
