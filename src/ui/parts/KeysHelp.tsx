"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { MONO } from "../theme/faces";
import { TOUCH } from "../theme/measures";

/** A key, as it stands on the keyboard, and what it does. */
export type KeyLine = readonly [keys: string, does: string];

/** `?` shows the keys of the page; never while text is edited. */
export function KeysHelp({ lines }: { lines: readonly KeyLine[] }) {
  const [open, setOpen] = useState(false);
  useHotkeys("shift+slash, ?", () => setOpen(true), { useKey: true });
  return (
    <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys of this page</DialogTitle>
      <DialogContent>
        <Box
          component="dl"
          sx={{ display: "grid", gridTemplateColumns: "auto 1fr", columnGap: 5, rowGap: 1 }}
        >
          {lines.map(([keys, does]) => (
            <Box key={keys} sx={{ display: "contents" }}>
              <Box component="dt" sx={{ fontFamily: MONO, fontWeight: 700 }}>
                {keys}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {does}
              </Box>
            </Box>
          ))}
        </Box>
        <Button color="inherit" onClick={() => setOpen(false)} sx={{ mt: 3, minHeight: TOUCH }}>
          Close
        </Button>
      </DialogContent>
    </Dialog>
  );
}
