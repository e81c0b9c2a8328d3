"use client";

import { type FormEvent, useState } from "react";
import type * as z from "zod/mini";

/**
 * An entry of a few fields within a stage, checked as a whole by its schema when it is entered; each fault stands at its
 * field until that is changed. Pages of their own use React Hook Form: in a stage it would be a twentieth of all that is
 * brought.
 */
export function useEntry<Typed extends Readonly<Record<string, string>>, Kept>(
  schema: z.ZodMiniType<Kept, Typed>,
  blank: Typed,
) {
  const [typed, setTyped] = useState(blank);
  const [faults, setFaults] = useState<Readonly<Record<string, string | undefined>>>({});
  const change = (part: Partial<Typed>) => {
    setTyped((before) => ({ ...before, ...part }));
    setFaults((before) => ({
      ...before,
      ...Object.fromEntries(Object.keys(part).map((key) => [key, undefined])),
    }));
  };
  return {
    typed,
    change,
    /** What a field shows, for its part of the page. */
    field: (name: keyof Typed) => ({
      value: typed[name] as string,
      onChange: (value: string) => change({ [name]: value } as Partial<Typed>),
      fault: faults[String(name)],
    }),
    /** Hands on what was typed, where nothing is wrong with it. */
    entered: (keep: (kept: Kept) => void) => (event: FormEvent) => {
      event.preventDefault();
      const read = schema.safeParse(typed);
      const wrong = read.success ? [] : read.error.issues;
      setFaults(Object.fromEntries(wrong.map(({ path, message }) => [String(path[0]), message])));
      if (read.success) keep(read.data);
    },
  };
}
