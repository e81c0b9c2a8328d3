import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import { memo, useMemo } from "react";
import { CLEARS } from "../parts/earlyTouches";
import { useSteady } from "../parts/useSteady";
import { MONO } from "../theme/faces";
import { FIGURE_FIELD } from "../theme/fields";
import { TOUCH } from "../theme/measures";
import { Keypad } from "./Keypad";
import look from "./ReadingForm.module.css";
import type { ReadingField } from "./useReadingField";

interface Props {
  readonly field: ReadingField;
  /** Large keys under the field, in place of the device's own. */
  readonly keypad: boolean;
}

/** The field for a reading, Enter, OL, and the keypad where it is wanted. */
export function ReadingForm({ field, keypad }: Props) {
  const { input, text, said } = field;
  const type = useSteady((typed: string) => field.setText(typed));
  const onKeyDown = useSteady(field.onKeyDown);
  const onPaste = useSteady(field.onPaste);
  const change = useSteady(field.change);
  const onOpen = useSteady(() => {
    field.change((before) => `${before.trim()} OL`.trim());
    input.current?.focus();
  });
  const faulty = said !== null;
  // Made anew with what is typed, and not with every reading.
  const typed = useMemo(
    () => (
      <InputBase
        inputRef={input}
        value={text}
        onChange={(event) => type(event.target.value)}
        onKeyDown={onKeyDown}
        onPaste={onPaste}
        placeholder="ohms / OL"
        autoFocus
        inputProps={{
          "aria-label": "Reading in ohms, or OL for open",
          "data-undo": "job",
          autoComplete: "off",
          spellCheck: false,
          inputMode: keypad ? "none" : undefined,
          maxLength: 60,
          "aria-describedby": "reading-fault reading-help",
        }}
        error={faulty}
        sx={FIGURE_FIELD}
      />
    ),
    [input, text, faulty, keypad, type, onKeyDown, onPaste],
  );
  return (
    <form onSubmit={field.onSubmit} {...CLEARS}>
      <div className={look.line}>
        {typed}
        <Keys onOpen={onOpen} />
      </div>
      {keypad ? <Keypad onChange={change} /> : null}
    </form>
  );
}

const Keys = memo(function Keys({ onOpen }: { onOpen: () => void }) {
  return (
    <>
      <Button type="submit" variant="contained" sx={{ minHeight: 64, px: 6, fontSize: "1.0625rem" }}>
        Enter
      </Button>
      <Button
        color="inherit"
        sx={{ minHeight: 64, minWidth: TOUCH, px: 4, fontFamily: MONO, fontSize: "1.125rem" }}
        onClick={onOpen}
        aria-label="Put OL for over range into the field"
      >
        OL
      </Button>
    </>
  );
});
