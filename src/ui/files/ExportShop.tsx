"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { shopArchive } from "@/store/files/shopArchive";
import { saveFile } from "../parts/saveFile";
import { TOUCH } from "../theme/measures";

/** Everything of the shop as one file. */
export function ExportShop() {
  const [share, setShare] = useState<number | null>(null);
  const [says, setSays] = useState("");
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);
  const save = async () => {
    const gone = new AbortController();
    stop.current = gone;
    setSays("");
    setShare(0);
    try {
      const made = await shopArchive(
        new Date().toISOString(),
        ({ done, all }) => setShare(done / Math.max(1, all)),
        gone.signal,
      );
      saveFile(new Blob([made.bytes as Uint8Array<ArrayBuffer>], { type: made.type }), made.name);
      setSays(`Saved as ${made.name}.`);
    } catch (error) {
      if (!gone.signal.aborted) setSays(error instanceof Error ? error.message : "It could not be saved.");
    } finally {
      setShare(null);
    }
  };
  return (
    <Box>
      {share === null ? (
        <Button color="inherit" onClick={() => void save()} sx={{ minHeight: 56, px: 6 }}>
          Save the whole shop
        </Button>
      ) : (
        <Box role="status">
          <LinearProgress aria-label="Saving" variant="determinate" value={100 * share} sx={{ mb: 2 }} />
          <Button color="inherit" onClick={() => stop.current?.abort()} sx={{ minHeight: TOUCH }}>
            Cancel
          </Button>
        </Box>
      )}
      <Typography role="status" sx={{ mt: 2 }}>
        {says}
      </Typography>
    </Box>
  );
}
