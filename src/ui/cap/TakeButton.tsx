"use client";

import Button from "@mui/material/Button";
import { useJob } from "../job/JobContext";

/** Takes a part from the truck for this job, or gives it back; the stock follows. */
export function TakeButton({ item, name, count = 1 }: { item: string; name: string; count?: number }) {
  const { job, add } = useJob("used");
  const used = job.used.find((part) => part.item === item)?.count ?? 0;
  const taken = used >= count;
  return (
    <Button
      size="small"
      color="inherit"
      aria-pressed={taken}
      onClick={() => add({ kind: "used", item, name, count: taken ? 0 : count })}
      aria-label={`${taken ? "Give back" : "Take from the truck"}: ${name}`}
      sx={{ minHeight: 44, whiteSpace: "nowrap" }}
    >
      {taken ? "Give back" : `Take${count > 1 ? ` ${count}` : ""}`}
    </Button>
  );
}
