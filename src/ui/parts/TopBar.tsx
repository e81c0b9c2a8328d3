"use client";

import Box from "@mui/material/Box";
import NextLink from "next/link";
import type { ReactNode } from "react";
import { SchemeSwitch } from "../theme/SchemeSwitch";
import { SkipLink } from "./SkipLink";

/** The bar over every page: the way home, what the page puts there, the scheme. */
export function TopBar({ children }: { children?: ReactNode }) {
  return (
    <Box
      component="header"
      className="no-print"
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 3,
        px: { xs: 3, md: 6 },
        minHeight: 52,
        borderBottom: "1.5px solid",
        borderColor: "text.primary",
      }}
    >
      <SkipLink />
      <Box
        component={NextLink}
        href="/"
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 2,
          color: "text.primary",
          textDecoration: "none",
          fontWeight: 750,
          fontSize: "1.0625rem",
          minHeight: 44,
          whiteSpace: "nowrap",
        }}
      >
        <ThreeWires />
        Odd Lead
      </Box>
      <Box
        sx={{
          flex: 1,
          minWidth: 0,
          display: "flex",
          alignItems: "center",
          justifyContent: "flex-end",
          gap: 3,
        }}
      >
        {children}
      </Box>
      <SchemeSwitch />
    </Box>
  );
}

/** Our own sign: two leads that agree and one that does not. */
function ThreeWires() {
  return (
    <svg
      width="26"
      height="22"
      viewBox="0 0 26 22"
      aria-hidden="true"
      fill="none"
      strokeWidth="2.6"
      strokeLinecap="round"
    >
      <path d="M2 4h22M2 18h22" stroke="currentColor" />
      <path d="M2 11h8c3 0 3-4 6-4s3 8 8 8" stroke="var(--mui-palette-primary-main)" />
    </svg>
  );
}
