"use client";

import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import dynamic from "next/dynamic";
import { asked } from "@/contract/call";
import { wiringResults } from "@/contract/routes/practice";
import { ChartComing, LatestResults, ProgressSection } from "./ProgressSection";

const WiringProgressChart = dynamic(
  () => import("./WiringProgressChart").then((m) => m.WiringProgressChart),
  { ssr: false, loading: ChartComing },
);

/** A person's wirings so far: how many right, the chart, and the last ones in words. */
export function WiringProgress({ person, upTo }: { person: string; upTo: string }) {
  const results = useQuery({
    queryKey: ["practice-wiring", person, upTo],
    retry: 1,
    queryFn: async ({ signal }) => (await asked(wiringResults, { query: { person }, signal })).results,
  });
  return (
    <ProgressSection title={`Wirings of ${person}`} results={results} none="None handed in yet.">
      {(list) => (
        <>
          <Typography>
            {list.filter(({ isRight }) => isRight).length} of {list.length} right.
          </Typography>
          {list.length > 1 ? <WiringProgressChart results={list} /> : null}
          <LatestResults
            list={list}
            words={({ task, equipment, isRight }) =>
              `${task === "find-it" ? "a fault looked for" : "a motor wired"} · ${equipment} · ${isRight ? "right" : "not right"}`
            }
          />
        </>
      )}
    </ProgressSection>
  );
}
