"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { ReactNode } from "react";
import { LocalDay } from "../parts/LocalDay";
import { Trouble } from "../parts/Trouble";
import { Mark } from "../parts/Verdict";

/** What came of a person's practice so far: where nothing did, or it cannot be had, it says so. */
export function ProgressSection<Line>({
  title,
  results,
  none,
  children,
}: {
  readonly title: string;
  readonly results: {
    readonly isError: boolean;
    readonly isPending: boolean;
    readonly data: readonly Line[] | undefined;
  };
  /** Said while nothing was handed in. */
  readonly none: string;
  readonly children: (list: readonly Line[]) => ReactNode;
}) {
  const list = results.data ?? [];
  return (
    <Box component="section" aria-label="Progress" sx={{ mt: 10, borderTop: "1.5px solid", pt: 3 }}>
      <Typography variant="h2">{title}</Typography>
      {results.isError ? (
        <Trouble sx={{ mt: 2 }}>Earlier results cannot be had from the server just now.</Trouble>
      ) : results.isPending ? null : list.length === 0 ? (
        <Typography sx={{ mt: 2, color: "text.secondary" }}>{none}</Typography>
      ) : (
        <Box sx={{ display: "grid", gap: 3, mt: 1, minWidth: 0 }}>{children(list)}</Box>
      )}
    </Box>
  );
}

/** So many of the latest results are listed. */
export const LISTED = 10;

/** The latest results in words, the last one first. */
export function LatestResults<
  Line extends { readonly id: string; readonly at: string; readonly isRight: boolean },
>({ list, words }: { readonly list: readonly Line[]; readonly words: (line: Line) => string }) {
  return (
    <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
      {list
        .slice(-LISTED)
        .reverse()
        .map((line) => (
          <Box
            component="li"
            key={line.id}
            sx={{ display: "flex", gap: 3, py: 1, borderBottom: "1px solid", borderColor: "divider" }}
          >
            <Mark weight={line.isRight ? "good" : "again"} />
            <span>
              <LocalDay at={line.at} /> · {words(line)}
            </span>
          </Box>
        ))}
    </Box>
  );
}

/** While a chart is fetched. */
export function ChartComing() {
  return <Typography sx={{ color: "text.secondary" }}>Drawing the chart …</Typography>;
}
