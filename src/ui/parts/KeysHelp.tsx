"use client";

import { lazy, Suspense, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import type { KeyLine } from "./keyLine";

const KeysDialog = lazy(() => import("./KeysDialog").then((made) => ({ default: made.KeysDialog })));

/** `?` shows the keys of the page; never while text is edited. */
export function KeysHelp({ lines }: { lines: readonly KeyLine[] }) {
  const [open, setOpen] = useState(false);
  useHotkeys("shift+slash, ?", () => setOpen(true), { useKey: true });
  return open ? (
    <Suspense fallback={null}>
      <KeysDialog lines={lines} onClose={() => setOpen(false)} />
    </Suspense>
  ) : null;
}
