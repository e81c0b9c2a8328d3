"use client";

import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import { useEffect, useId, useState } from "react";
import { MONO, TOUCH } from "../theme/theme";

interface Props {
  readonly label: string;
  readonly value: string;
  readonly placeholder?: string;
  /** Keeps what was typed; gives what is wrong with it, in plain words, or null. */
  readonly onKeep: (text: string) => string | null;
  readonly maxLength?: number;
  readonly numeric?: boolean;
}

/** A short entry that is kept when the field is left or Enter is pressed; what cannot be kept stays and says why. */
export function KeptEntry({ label, value, placeholder, onKeep, maxLength = 20, numeric = false }: Props) {
  const [text, setText] = useState(value);
  const [fault, setFault] = useState<string | null>(null);
  const id = useId();
  useEffect(() => {
    setText(value);
    setFault(null);
  }, [value]);
  const keep = () => setFault(text === value ? null : onKeep(text));
  return (
    <Box sx={{ minWidth: 0 }}>
      <Box component="label" sx={{ display: "block" }}>
        <Box component="span" sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary" }}>
          {label}
        </Box>
        <InputBase
          value={text}
          placeholder={placeholder}
          onChange={(event) => {
            setText(event.target.value);
            setFault(null);
          }}
          onBlur={keep}
          onKeyDown={(event) => {
            if (event.key !== "Enter") return;
            event.preventDefault();
            keep();
          }}
          inputProps={{
            inputMode: numeric ? "decimal" : undefined,
            maxLength,
            autoComplete: "off",
            "aria-invalid": fault !== null,
            "aria-describedby": fault ? id : undefined,
          }}
          sx={{
            width: "100%",
            minHeight: TOUCH,
            px: 2,
            fontFamily: MONO,
            bgcolor: "background.paper",
            border: "1px solid",
            borderColor: fault ? "warning.main" : "divider",
          }}
        />
      </Box>
      {fault ? (
        <Box
          component="span"
          id={id}
          role="alert"
          sx={{ display: "block", color: "warning.main", fontWeight: 600, fontSize: "0.8125rem" }}
        >
          {fault}
        </Box>
      ) : null}
    </Box>
  );
}
