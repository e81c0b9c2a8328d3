"use client";

import { useEffect, useState } from "react";
import { PlainEntry } from "./PlainEntry";

interface Props {
  readonly label: string;
  readonly value: string;
  readonly placeholder?: string;
  /** Keeps what was typed; gives what is wrong with it, in plain words, or null. */
  readonly onKeep: (text: string) => string | null;
  readonly maxLength?: number;
  readonly numeric?: boolean;
  readonly focused?: boolean;
}

/** A short entry that is kept when the field is left or Enter is pressed; what cannot be kept stays and says why. */
export function KeptEntry({
  label,
  value,
  placeholder,
  onKeep,
  maxLength = 20,
  numeric = false,
  focused = false,
}: Props) {
  const [text, setText] = useState(value);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    setText(value);
    setFault(null);
  }, [value]);
  return (
    <PlainEntry
      label={label}
      value={text}
      placeholder={placeholder}
      maxLength={maxLength}
      numeric={numeric}
      focused={focused}
      fault={fault ?? undefined}
      onChange={(next) => {
        setText(next);
        setFault(null);
      }}
      onLeave={() => setFault(text === value ? null : onKeep(text))}
    />
  );
}
