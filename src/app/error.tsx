"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { MAIN } from "@/ui/parts/SkipLink";
import { TOUCH } from "@/ui/theme/measures";

/** A fault of a page: what was entered is kept apart from it, and the page can be tried again. */
export default function Failed({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  return (
    <Box component="main" id={MAIN} sx={{ maxWidth: 640, mx: "auto", px: 4, py: 10 }}>
      <Typography variant="h1">This page made a mistake</Typography>
      <Typography sx={{ mt: 3 }}>
        Nothing you entered is lost: every entry was kept before this happened. Try the page again; if it
        fails again, the job opens from the first page.
      </Typography>
      {error.digest ? (
        <Typography sx={{ mt: 2, color: "text.secondary" }}>In the log under {error.digest}.</Typography>
      ) : null}
      <Box sx={{ display: "flex", gap: 3, mt: 4 }}>
        <Button variant="contained" onClick={reset} sx={{ minHeight: TOUCH }}>
          Try again
        </Button>
        <Button color="inherit" href="/" sx={{ minHeight: TOUCH }}>
          First page
        </Button>
      </Box>
    </Box>
  );
}
