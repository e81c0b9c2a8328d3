"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import dynamic from "next/dynamic";
import { asked } from "@/contract/call";
import { faultResults } from "@/contract/routes/practice";
import { LocalDay } from "../parts/LocalDay";
import { Mark } from "../parts/Verdict";

const FaultProgressChart = dynamic(() => import("./FaultProgressChart").then((m) => m.FaultProgressChart), {
  ssr: false,
  loading: () => <Typography sx={{ color: "text.secondary" }}>Drawing the chart …</Typography>,
});

const LISTED = 10;

/** A person's faults so far: how many right, minutes beside the best course, and the last ones in words. */
export function FaultProgress({ person, upTo }: { person: string; upTo: string }) {
  const results = useQuery({
    queryKey: ["practice-fault", person, upTo],
    retry: 1,
    queryFn: async ({ signal }) => (await asked(faultResults, { query: { person }, signal })).results,
  });
  const list = results.data ?? [];
  const dangers = list.filter((one) => one.dangers > 0).length;
  return (
    <Box component="section" aria-label="Progress" sx={{ mt: 10, borderTop: "1.5px solid", pt: 3 }}>
      <Typography variant="h2">Faults of {person}</Typography>
      {results.isError ? (
        <Typography role="alert" sx={{ mt: 2, color: "warning.main", fontWeight: 600 }}>
          Earlier results cannot be had from the server just now.
        </Typography>
      ) : list.length === 0 ? (
        <Typography sx={{ mt: 2, color: "text.secondary" }}>None handed in yet.</Typography>
      ) : (
        <>
          <Typography sx={{ mt: 1 }}>
            {list.filter(({ isRight }) => isRight).length} of {list.length} right
            {dangers > 0 ? `, ${dangers} with danger` : ", none with danger"}.
          </Typography>
          {list.length > 1 ? <FaultProgressChart results={list} /> : null}
          <Box component="ul" sx={{ listStyle: "none", m: 0, mt: 2, p: 0 }}>
            {[...list]
              .reverse()
              .slice(0, LISTED)
              .map(({ id, at, equipment, cause, isRight, minutes, bestMinutes }) => (
                <Box
                  component="li"
                  key={id}
                  sx={{ display: "flex", gap: 3, py: 1, borderBottom: "1px solid", borderColor: "divider" }}
                >
                  <Mark weight={isRight ? "good" : "again"} />
                  <span>
                    <LocalDay at={at} /> · {equipment} · {cause.replaceAll("-", " ")} · {minutes} min
                    {bestMinutes === null ? "" : `, best ${bestMinutes}`}
                  </span>
                </Box>
              ))}
          </Box>
        </>
      )}
    </Box>
  );
}
