import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import type { ReactNode } from "react";
import look from "./Tick.module.css";

interface Props {
  readonly checked: boolean;
  readonly onTick: (checked: boolean) => void;
  /** What is ticked: a touch on it counts as well. */
  readonly children: ReactNode;
  /** The words take several lines. */
  readonly high?: boolean;
  readonly className?: string | undefined;
}

/** A box to tick with its words, which are touched as one. */
export function Tick({ checked, onTick, children, high = false, className }: Props) {
  return (
    <FormControlLabel
      className={[look.tick, high ? look.high : "", className ?? ""].join(" ").trim()}
      control={<Checkbox checked={checked} onChange={(_, ticked) => onTick(ticked)} />}
      label={children}
    />
  );
}
