"use client";

import { useState } from "react";
import { PlainEntry } from "./PlainEntry";

interface Props {
  readonly label: string;
  /** Adds what was typed; gives what is wrong with it, in plain words, or null. */
  readonly onAdd: (text: string) => string | null;
  readonly maxLength?: number;
}

/** A short entry that adds one of something when it is left or Enter is pressed, and is empty again then. */
export function AddEntry({ label, onAdd, maxLength = 20 }: Props) {
  const [text, setText] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const add = () => {
    if (text.trim() === "") return;
    const says = onAdd(text.trim());
    setFault(says);
    if (!says) setText("");
  };
  return (
    <PlainEntry
      label={label}
      value={text}
      maxLength={maxLength}
      fault={fault ?? undefined}
      onChange={(next) => {
        setText(next);
        setFault(null);
      }}
      onLeave={add}
    />
  );
}
