import FormLabel from "@mui/material/FormLabel";
import type { ReactNode } from "react";

/** The words over a field, which a touch on them puts the cursor into. */
export function FieldLabel({ of, children }: { readonly of: string; readonly children: ReactNode }) {
  return <FormLabel htmlFor={of}>{children}</FormLabel>;
}
