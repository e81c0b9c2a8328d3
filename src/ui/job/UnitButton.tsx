"use client";

import Button from "@mui/material/Button";
import { lazy, Suspense, useState } from "react";
import { TOUCH } from "../theme/measures";
import { useJob } from "./JobContext";

const UnitDialog = lazy(() => import("./UnitDialog").then((made) => ({ default: made.UnitDialog })));

/** The unit that the job is a visit of, or the way to name one. */
export function UnitButton() {
  const { job } = useJob("unit");
  const [open, setOpen] = useState(false);
  const { unit } = job;
  return (
    <>
      <Button
        color="inherit"
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
        sx={{
          minHeight: TOUCH,
          minWidth: 0,
          flexShrink: 1,
          maxWidth: { xs: "45%", sm: 260 },
          px: 3,
          textAlign: "left",
          lineHeight: 1.2,
          whiteSpace: "normal",
          overflowWrap: "anywhere",
        }}
      >
        {unit ? [unit.name, unit.position].filter((part) => part !== "").join(", ") : "Unit"}
      </Button>
      {open ? (
        <Suspense fallback={null}>
          <UnitDialog onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  );
}
