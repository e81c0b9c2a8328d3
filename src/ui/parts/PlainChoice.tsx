import Box from "@mui/material/Box";
import type { SxProps, Theme } from "@mui/material/styles";
import type { ReactNode } from "react";
import { TOUCH } from "../theme/measures";

interface Props {
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly children: ReactNode;
  /** Of the list itself, for the words over it. */
  readonly id?: string;
  /** Its name, where no words stand over it. */
  readonly name?: string;
  readonly sx?: SxProps<Theme>;
}

/** A choice of few by the browser's own list: quick with a thumb and by keyboard. */
export function PlainChoice({ value, onChange, children, id, name, sx = [] }: Props) {
  return (
    <Box
      component="select"
      id={id}
      aria-label={name}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      sx={[
        {
          width: "100%",
          minHeight: TOUCH,
          font: "inherit",
          color: "text.primary",
          bgcolor: "background.paper",
          border: "1px solid",
          borderColor: "divider",
          px: 2,
        },
        ...(Array.isArray(sx) ? sx : [sx]),
      ]}
    >
      {children}
    </Box>
  );
}
