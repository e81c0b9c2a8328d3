import Alert from "@mui/material/Alert";
import type { SxProps, Theme } from "@mui/material/styles";
import type { ReactNode } from "react";
import { Verdict } from "./Verdict";

interface Props {
  /** To be looked at again, or a stop. */
  readonly weight?: "again" | "stop";
  /** What heads it, with the mark of its weight. */
  readonly word?: string;
  readonly children?: ReactNode;
  readonly className?: string;
  readonly sx?: SxProps<Theme>;
}

/** What has to be known before going on, read out at once: a bar at its side, its mark and word, and what to do. */
export function Notice({ weight = "again", word, children, className, sx }: Props) {
  return (
    <Alert
      variant="outlined"
      severity={weight === "stop" ? "error" : "warning"}
      className={className}
      sx={sx}
    >
      {word === undefined ? null : <Verdict weight={weight} word={word} />}
      {children}
    </Alert>
  );
}
