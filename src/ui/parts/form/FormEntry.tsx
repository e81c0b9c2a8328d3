"use client";

import type { ComponentProps } from "react";
import { type Control, type FieldPath, type FieldValues, useController } from "react-hook-form";
import { PlainEntry } from "../PlainEntry";

type Props<Values extends FieldValues, Kept> = Omit<
  ComponentProps<typeof PlainEntry>,
  "value" | "onChange" | "onLeave" | "fault" | "inputRef"
> & { readonly control: Control<Values, unknown, Kept>; readonly name: FieldPath<Values> };

/** A field of one line in a form that is kept as a whole; the first that is wrong gets the cursor. */
export function FormEntry<Values extends FieldValues, Kept>({
  control,
  name,
  ...entry
}: Props<Values, Kept>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <PlainEntry
      {...entry}
      value={field.value}
      onChange={field.onChange}
      fault={fieldState.error?.message}
      inputRef={field.ref}
    />
  );
}
