"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import dynamic from "next/dynamic";
import { asked } from "@/contract/call";
import { wiringResults } from "@/contract/routes/practice";
import { LocalDay } from "../parts/LocalDay";
import { Mark } from "../parts/Verdict";

const WiringProgressChart = dynamic(
  () => import("./WiringProgressChart").then((m) => m.WiringProgressChart),
  {
    ssr: false,
    loading: () => <Typography sx={{ color: "text.secondary" }}>Drawing the chart …</Typography>,
  },
);

const LISTED = 10;

/** A person's wirings so far: how many right, the chart, and the last ones in words. */
export function WiringProgress({ person, upTo }: { person: string; upTo: string }) {
  const results = useQuery({
    queryKey: ["practice-wiring", person, upTo],
    retry: 1,
    queryFn: async ({ signal }) => (await asked(wiringResults, { query: { person }, signal })).results,
  });
  const list = results.data ?? [];
  return (
    <Box component="section" aria-label="Progress" sx={{ mt: 10, borderTop: "1.5px solid", pt: 3 }}>
      <Typography variant="h2">Wirings of {person}</Typography>
      {results.isError ? (
        <Typography role="alert" sx={{ mt: 2, color: "warning.main", fontWeight: 600 }}>
          Earlier results cannot be had from the server just now.
        </Typography>
      ) : list.length === 0 ? (
        <Typography sx={{ mt: 2, color: "text.secondary" }}>None handed in yet.</Typography>
      ) : (
        <>
          <Typography sx={{ mt: 1 }}>
            {list.filter(({ isRight }) => isRight).length} of {list.length} right.
          </Typography>
          {list.length > 1 ? <WiringProgressChart results={list} /> : null}
          <Box component="ul" sx={{ listStyle: "none", m: 0, mt: 2, p: 0 }}>
            {[...list]
              .reverse()
              .slice(0, LISTED)
              .map(({ id, at, task, equipment, isRight }) => (
                <Box
                  component="li"
                  key={id}
                  sx={{ display: "flex", gap: 3, py: 1, borderBottom: "1px solid", borderColor: "divider" }}
                >
                  <Mark weight={isRight ? "good" : "again"} />
                  <span>
                    <LocalDay at={at} /> · {task === "find-it" ? "a fault looked for" : "a motor wired"} ·{" "}
                    {equipment} · {isRight ? "right" : "not right"}
                  </span>
                </Box>
              ))}
          </Box>
        </>
      )}
    </Box>
  );
}
