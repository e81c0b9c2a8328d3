import Button from "@mui/material/Button";
import { memo, useLayoutEffect, useMemo } from "react";
import { CLEARS } from "../parts/earlyTouches";
import { useSteady } from "../parts/useSteady";
import { MONO } from "../theme/faces";
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
  // The page is about what goes in here. Before effects, so that no heading is read out first.
  useLayoutEffect(() => input.current?.focus(), [input]);
  // Made anew with what is typed, and not with every reading.
  const typed = useMemo(
    () => (
      <input
        ref={input}
        type="text"
        className={look.figure}
        value={text}
        onChange={(event) => type(event.target.value)}
        onKeyDown={onKeyDown}
        onPaste={onPaste}
        placeholder="ohms / OL"
        aria-label="Reading in ohms, or OL for open"
        aria-describedby="reading-fault reading-help"
        aria-invalid={faulty}
        data-undo="job"
        autoComplete="off"
        spellCheck={false}
        inputMode={keypad ? "none" : undefined}
        maxLength={60}
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
