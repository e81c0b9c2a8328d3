"use client";

import type { ComponentType } from "react";

/**
 * A part that is brought when it is first shown, or a word in its place where it cannot be had: with the server away the
 * page around it goes on.
 */
export async function brought<P>(part: Promise<ComponentType<P>>): Promise<ComponentType<P>> {
  return part.catch(() => NotHere);
}

function NotHere() {
  return (
    <p role="status">
      This part cannot be had while the server is away. Nothing is lost; open the page again when it is back.
    </p>
  );
}
