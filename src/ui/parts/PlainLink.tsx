import NextLink from "next/link";
import type { ReactNode } from "react";
import look from "./PlainLink.module.css";

/** A link in running text, in the ink of the text. */
export function PlainLink({ href, children }: { href: string; children: ReactNode }) {
  return (
    <NextLink href={href} className={look.link}>
      {children}
    </NextLink>
  );
}
