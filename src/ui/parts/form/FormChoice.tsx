"use client";

import type { ReactNode } from "react";
import { type Control, type FieldPath, type FieldValues, useController } from "react-hook-form";
import { Choice } from "../Choice";

/** A choice of few in a form that is kept as a whole. */
export function FormChoice<Values extends FieldValues, Kept>({
  control,
  name,
  label,
  children,
}: {
  readonly control: Control<Values, unknown, Kept>;
  readonly name: FieldPath<Values>;
  readonly label: string;
  readonly children: ReactNode;
}) {
  const { field } = useController({ control, name });
  return (
    <Choice label={label} value={field.value} onChange={field.onChange}>
      {children}
    </Choice>
  );
}
