"use client";

import FormControl from "@mui/material/FormControl";
import InputBase from "@mui/material/InputBase";
import { type Ref, useId } from "react";
import { MONO } from "../theme/faces";
import { FieldFault } from "./FieldFault";
import { FieldLabel } from "./FieldLabel";

interface Props {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly placeholder?: string | undefined;
  readonly type?: "text" | "date";
  readonly fault?: string | undefined;
  readonly maxLength?: number;
  readonly numeric?: boolean;
  /** Has the cursor when the screen comes: where it is the first thing to be typed. */
  readonly focused?: boolean;
  /** The field is left, or Enter pressed in it; left out in a form that is kept as a whole. */
  readonly onLeave?: () => void;
  readonly inputRef?: Ref<HTMLInputElement>;
}

/** A labelled field of one line; its fault stands below it. */
export function PlainEntry({
  label,
  value,
  onChange,
  placeholder,
  type = "text",
  fault,
  maxLength = 60,
  numeric = false,
  focused = false,
  onLeave,
  inputRef,
}: Props) {
  const id = useId();
  const faultId = `${id}-fault`;
  return (
    <FormControl fullWidth error={fault !== undefined}>
      <FieldLabel of={id}>{label}</FieldLabel>
      <InputBase
        id={id}
        type={type}
        value={value}
        placeholder={placeholder}
        inputRef={inputRef}
        autoFocus={focused}
        onChange={(event) => onChange(event.target.value)}
        onBlur={onLeave}
        onKeyDown={(event) => {
          if (event.key !== "Enter" || !onLeave) return;
          event.preventDefault();
          onLeave();
        }}
        inputProps={{
          inputMode: numeric ? "decimal" : undefined,
          maxLength,
          autoComplete: "off",
          "aria-describedby": fault ? faultId : undefined,
        }}
        sx={{ fontFamily: MONO }}
      />
      {fault ? <FieldFault id={faultId}>{fault}</FieldFault> : null}
    </FormControl>
  );
}
