import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import { CLEARS } from "../parts/earlyTouches";
import { FIGURE_FIELD } from "../theme/fields";
import { MONO, TOUCH } from "../theme/measures";
import { Keypad } from "./Keypad";
import type { ReadingField } from "./useReadingField";

interface Props {
  readonly field: ReadingField;
  /** Large keys under the field, in place of the device's own. */
  readonly keypad: boolean;
}

/** The field for a reading, Enter, OL, and the keypad where it is wanted. */
export function ReadingForm({ field, keypad }: Props) {
  const { input, said } = field;
  return (
    <Box component="form" onSubmit={field.onSubmit} {...CLEARS}>
      <Box sx={{ display: "flex", gap: 2 }}>
        <InputBase
          inputRef={input}
          value={field.text}
          onChange={(event) => field.setText(event.target.value)}
          onKeyDown={field.onKeyDown}
          onPaste={field.onPaste}
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
          error={said !== null}
          sx={FIGURE_FIELD}
        />
        <Button type="submit" variant="contained" sx={{ minHeight: 64, px: 6, fontSize: "1.0625rem" }}>
          Enter
        </Button>
        <Button
          color="inherit"
          sx={{ minHeight: 64, minWidth: TOUCH, px: 4, fontFamily: MONO, fontSize: "1.125rem" }}
          onClick={() => {
            field.setText(`${field.text.trim()} OL`.trim());
            input.current?.focus();
          }}
          aria-label="Put OL for over range into the field"
        >
          OL
        </Button>
      </Box>
      {keypad ? <Keypad text={field.text} onText={field.setText} /> : null}
    </Box>
  );
}
