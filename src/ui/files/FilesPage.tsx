"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { BackupAge } from "./BackupAge";
import { DropFiles } from "./DropFiles";
import { ExportShop } from "./ExportShop";
import { ImportFiles } from "./ImportFiles";

/** Files: jobs brought in, and everything saved. */
export function FilesPage() {
  const [files, setFiles] = useState<readonly File[]>([]);
  return (
    <DropFiles onFiles={setFiles}>
      <TopBar />
      <Box
        component="main"
        id={MAIN}
        sx={{ maxWidth: 820, mx: "auto", px: { xs: 3, md: 6 }, py: { xs: 5, md: 8 } }}
      >
        <Typography variant="h1" sx={{ mb: 6 }}>
          Files
        </Typography>
        <Box component="section" aria-label="Bring in" sx={{ mb: 12 }}>
          <Typography variant="h2" sx={{ mb: 1 }}>
            Bring in
          </Typography>
          <Typography sx={{ color: "text.secondary", mb: 4 }}>
            A job’s file, a job with its photos, or a whole shop; drag them onto the page as well. First it is
            shown what would come in. Bringing the same file in twice changes nothing.
          </Typography>
          <ImportFiles files={files} />
        </Box>
        <Box component="section" aria-label="Save">
          <Typography variant="h2" sx={{ mb: 1 }}>
            Save
          </Typography>
          <Typography sx={{ color: "text.secondary", mb: 4 }}>
            Every job with its facts and photos, the stock and the shop’s own equipment, as one archive in
            open forms. One job alone is saved in its Record.
          </Typography>
          <ExportShop />
          <BackupAge />
        </Box>
      </Box>
    </DropFiles>
  );
}
