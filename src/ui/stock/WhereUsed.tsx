"use client";

import Link from "@mui/material/Link";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import NextLink from "next/link";
import { asked } from "@/contract/call";
import { stockUses } from "@/contract/routes/stock";

/** The jobs that have pieces of the line in use. */
export function WhereUsed({ item }: { item: string }) {
  const uses = useQuery({
    queryKey: ["stock-uses", item],
    retry: 1,
    queryFn: async ({ signal }) => (await asked(stockUses, { params: { item }, signal })).uses,
  });
  const list = uses.data ?? [];
  if (list.length === 0) return null;
  return (
    <Typography sx={{ mt: 3 }}>
      In use on:{" "}
      {list.map(({ job, count, title }, i) => (
        <span key={job}>
          {i > 0 ? ", " : ""}
          <Link component={NextLink} href={`/jobs/${job}/cap`} prefetch={false}>
            {title || "a job without a name"}
          </Link>
          {count > 1 ? ` (${count})` : ""}
        </span>
      ))}
      .
    </Typography>
  );
}
