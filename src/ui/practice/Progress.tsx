"use client";

import Table from "@mui/material/Table";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import dynamic from "next/dynamic";
import { asked } from "@/contract/call";
import { type PracticeLine, practiceResults } from "@/contract/routes/practice";
import { familyById } from "@/core";
import { Verdict } from "../parts/Verdict";
import { ChartComing, LISTED, ProgressSection } from "./ProgressSection";

const ProgressChart = dynamic(() => import("./ProgressChart").then((m) => m.ProgressChart), {
  ssr: false,
  loading: ChartComing,
});

/** A person's results so far: the chart, and the last ones in words. `upTo` is the result just handed in. */
export function Progress({ person, upTo }: { person: string; upTo: string }) {
  const results = useQuery({
    queryKey: ["practice", person, upTo],
    retry: 1,
    queryFn: async ({ signal }) => (await asked(practiceResults, { query: { person }, signal })).results,
  });
  return (
    <ProgressSection
      title={`Progress of ${person}`}
      results={results}
      none="No motor handed in yet. The first one starts the chart."
    >
      {(list) => (
        <>
          <Typography>
            {list.filter((line) => line.isRight).length} of {list.length} right.
          </Typography>
          {list.length > 1 ? <ProgressChart results={list} /> : null}
          <ResultTable list={list} />
        </>
      )}
    </ProgressSection>
  );
}

function ResultTable({ list }: { list: readonly PracticeLine[] }) {
  return (
    <Table aria-label="Latest results" sx={{ "& td:first-of-type": { whiteSpace: "nowrap" } }}>
      <thead>
        <tr>
          <th scope="col">day</th>
          <th scope="col">motor</th>
          <th scope="col">leads right</th>
          <th scope="col">readings / needed</th>
          <th scope="col">result</th>
        </tr>
      </thead>
      <tbody>
        {list
          .slice(-LISTED)
          .reverse()
          .map((line) => (
            <tr key={line.id}>
              <td>{line.at.slice(5, 10)}</td>
              <td>{familyById(line.family)?.title ?? line.family}</td>
              <td>
                {line.leadsRight} of {line.leadCount}
              </td>
              <td>
                {line.readingsTaken} / {line.readingsNeeded}
              </td>
              <td>
                <Verdict weight={line.isRight ? "good" : "again"} word={line.isRight ? "right" : "not yet"} />
              </td>
            </tr>
          ))}
      </tbody>
    </Table>
  );
}
