import FormHelperText from "@mui/material/FormHelperText";
import type { ReactNode } from "react";

/** What is wrong with what stands in a field, under it, read out at once; with nothing wrong it waits there unseen. */
export function FieldFault({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  return (
    <FormHelperText id={id} role="alert" error>
      {children}
    </FormHelperText>
  );
}
