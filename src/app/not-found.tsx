"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import NextLink from "next/link";
import { MAIN } from "@/ui/parts/SkipLink";
import { TopBar } from "@/ui/parts/TopBar";

export default function NotFound() {
  return (
    <>
      <TopBar />
      <Box component="main" id={MAIN} sx={{ maxWidth: 720, mx: "auto", p: 8 }}>
        <Typography variant="h1">There is no such page.</Typography>
        <Typography sx={{ mt: 3 }}>
          The address may have lost a character. Jobs are listed on the{" "}
          <Box component={NextLink} href="/" sx={{ color: "primary.main" }}>
            first page
          </Box>
          .
        </Typography>
      </Box>
    </>
  );
}
