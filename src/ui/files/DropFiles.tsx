"use client";

import Box from "@mui/material/Box";
import { type DragEvent, type ReactNode, useState } from "react";

/** A page onto which files can be dragged. */
export function DropFiles({
  onFiles,
  children,
}: {
  onFiles: (files: readonly File[]) => void;
  children: ReactNode;
}) {
  const [over, setOver] = useState(false);
  const hasFiles = (event: DragEvent) => event.dataTransfer.types.includes("Files");
  return (
    <Box
      onDragOver={(event: DragEvent) => {
        if (!hasFiles(event)) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event: DragEvent) => {
        if (event.currentTarget === event.target) setOver(false);
      }}
      onDrop={(event: DragEvent) => {
        if (!hasFiles(event)) return;
        event.preventDefault();
        setOver(false);
        onFiles([...event.dataTransfer.files]);
      }}
      sx={{ minHeight: "100vh", ...(over ? { outline: "4px dashed", outlineOffset: -8 } : {}) }}
    >
      {children}
    </Box>
  );
}
