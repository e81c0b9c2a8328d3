import InputBase from "@mui/material/InputBase";
import NativeSelect from "@mui/material/NativeSelect";
import type { SxProps, Theme } from "@mui/material/styles";
import type { ReactNode } from "react";

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
export function PlainChoice({ value, onChange, children, id, name, sx }: Props) {
  return (
    <NativeSelect
      input={<InputBase fullWidth />}
      id={id}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      inputProps={{ "aria-label": name }}
      sx={sx}
    >
      {children}
    </NativeSelect>
  );
}
