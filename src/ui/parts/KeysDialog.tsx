"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { MONO } from "../theme/faces";
import { TOUCH } from "../theme/measures";
import type { KeyLine } from "./keyLine";

/** The keys of a page, over it. */
export function KeysDialog({ lines, onClose }: { lines: readonly KeyLine[]; onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="keys-title">
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
        <Button color="inherit" onClick={onClose} sx={{ mt: 3, minHeight: TOUCH }}>
          Close
        </Button>
      </DialogContent>
    </Dialog>
  );
}
