"use client";

import type { ComponentProps } from "react";
import { useAsking } from "../job/JobContext";

/** A section that says to who cannot see it that it is about to change: from a reading's key on, before anything else is drawn. */
export function Weighed(props: ComponentProps<"section">) {
  return <section aria-busy={useAsking()} {...props} />;
}
