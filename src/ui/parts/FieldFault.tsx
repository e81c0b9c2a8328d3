import FormHelperText from "@mui/material/FormHelperText";
import { memo, type ReactNode } from "react";

interface Props {
  readonly id: string;
  readonly children: ReactNode;
}

/** What is wrong with what stands in a field, under it, read out at once; with nothing wrong it waits there unseen. */
export const FieldFault = memo(function FieldFault({ id, children }: Props) {
  return (
    <FormHelperText id={id} role="alert" error>
      {children}
    </FormHelperText>
  );
});
