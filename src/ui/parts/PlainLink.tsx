import Box from "@mui/material/Box";
import NextLink from "next/link";
import type { ReactNode } from "react";

/** A link in running text, in the ink of the text. */
export function PlainLink({ href, children }: { href: string; children: ReactNode }) {
  return (
    <Box component={NextLink} href={href} sx={{ color: "inherit", fontWeight: 650 }}>
      {children}
    </Box>
  );
}
