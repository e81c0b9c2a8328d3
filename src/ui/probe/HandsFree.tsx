import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import type { MouseEvent } from "react";
import { canSpeak } from "./speech";
import type { Taken } from "./useHandsFree";

interface Props {
  readonly on: boolean;
  readonly onChange: (on: boolean) => void;
  readonly aloud: boolean;
  readonly onAloud: (aloud: boolean) => void;
  readonly taken: Taken | null;
  /** The sign for an open pair was given. */
  readonly signed: boolean;
  readonly onStrike: () => void;
}

/** Both hands on the probes: values take themselves, and one key strikes a wrong catch. */
export function HandsFree({ on, onChange, aloud, onAloud, taken, signed, onStrike }: Props) {
  return (
    <Box sx={{ mt: 2 }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2 }}>
        <Button
          color="inherit"
          aria-pressed={on}
          onClick={(event) => {
            leave(event);
            onChange(!on);
          }}
          sx={{ minHeight: 44 }}
        >
          {on ? "Hands free: on" : "Hands free"}
        </Button>
        {on && canSpeak() ? (
          <Button
            color="inherit"
            aria-pressed={aloud}
            onClick={(event) => {
              leave(event);
              onAloud(!aloud);
            }}
            sx={{ minHeight: 44 }}
          >
            {aloud ? "Said aloud: on" : "Say it aloud"}
          </Button>
        ) : null}
      </Box>
      {on ? (
        <>
          <Typography role="status" aria-label="Hands free" sx={{ mt: 1, fontWeight: 600 }}>
            {signed
              ? "Open is taken in two seconds, unless ohms come."
              : taken
                ? `Taken: ${taken.says} Lift, then the next pair.`
                : "Lift, touch the pair, hold until it is taken."}
          </Typography>
          {taken ? (
            <Button color="inherit" onClick={onStrike} sx={{ minHeight: 44 }}>
              Strike it (Backspace)
            </Button>
          ) : null}
          <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mt: 1 }}>
            Does it read open? Lift, and touch tip to tip for a moment; or press Space or a pedal (Page Down).
            Backspace or Page Up strikes the last value.
          </Typography>
        </>
      ) : null}
    </Box>
  );
}

/** Touched by a finger the button gives the keys back: Space is the sign from then on. */
function leave({ detail, currentTarget }: MouseEvent<HTMLButtonElement>): void {
  if (detail > 0) currentTarget.blur();
}
