"use client";

import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import dynamic from "next/dynamic";
import { asked } from "@/contract/call";
import { faultResults } from "@/contract/routes/practice";
import { ChartComing, LatestResults, ProgressSection } from "./ProgressSection";

const FaultProgressChart = dynamic(() => import("./FaultProgressChart").then((m) => m.FaultProgressChart), {
  ssr: false,
  loading: ChartComing,
});

/** A person's faults so far: how many right, minutes beside the best course, and the last ones in words. */
export function FaultProgress({ person, upTo }: { person: string; upTo: string }) {
  const results = useQuery({
    queryKey: ["practice-fault", person, upTo],
    retry: 1,
    queryFn: async ({ signal }) => (await asked(faultResults, { query: { person }, signal })).results,
  });
  return (
    <ProgressSection title={`Faults of ${person}`} results={results} none="None handed in yet.">
      {(list) => {
        const dangers = list.filter((one) => one.dangers > 0).length;
        return (
          <>
            <Typography>
              {list.filter(({ isRight }) => isRight).length} of {list.length} right
              {dangers > 0 ? `, ${dangers} with danger` : ", none with danger"}.
            </Typography>
            {list.length > 1 ? <FaultProgressChart results={list} /> : null}
            <LatestResults
              list={list}
              words={({ equipment, cause, minutes, bestMinutes }) =>
                `${equipment} · ${cause.replaceAll("-", " ")} · ${minutes} min${bestMinutes === null ? "" : `, best ${bestMinutes}`}`
              }
            />
          </>
        );
      }}
    </ProgressSection>
  );
}
