import type { ReactNode } from "react";
import look from "./FieldLabel.module.css";

/** The words over a field, which a touch on them puts the cursor into. */
export function FieldLabel({ of, children }: { readonly of: string; readonly children: ReactNode }) {
  return (
    <label htmlFor={of} className={look.label}>
      {children}
    </label>
  );
}
