"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import dynamic from "next/dynamic";
import { asked } from "@/contract/call";
import { type PracticeLine, practiceResults } from "@/contract/routes/practice";
import { familyById } from "@/core";
import { Verdict } from "../parts/Verdict";

const ProgressChart = dynamic(() => import("./ProgressChart").then((m) => m.ProgressChart), {
  ssr: false,
  loading: () => <Typography sx={{ color: "text.secondary" }}>Drawing the chart …</Typography>,
});

const LISTED = 10;

/** A person's results so far: the chart, and the last ones in words. `upTo` is the result just handed in. */
export function Progress({ person, upTo }: { person: string; upTo: string }) {
  const results = useQuery({
    queryKey: ["practice", person, upTo],
    retry: 1,
    queryFn: async ({ signal }) => (await asked(practiceResults, { query: { person }, signal })).results,
  });
  const list = results.data ?? [];
  const right = list.filter((line) => line.isRight).length;
  return (
    <Box component="section" aria-label="Progress" sx={{ mt: 10, borderTop: "1.5px solid", pt: 3 }}>
      <Typography variant="h2">Progress of {person}</Typography>
      {results.isError ? (
        <Typography role="alert" sx={{ mt: 2, color: "warning.main", fontWeight: 600 }}>
          Earlier results cannot be had from the server just now.
        </Typography>
      ) : results.isPending ? null : list.length === 0 ? (
        <Typography sx={{ mt: 2, color: "text.secondary" }}>
          No motor handed in yet. The first one starts the chart.
        </Typography>
      ) : (
        <>
          <Typography sx={{ mt: 1 }}>
            {right} of {list.length} right.
          </Typography>
          {list.length > 1 ? <ProgressChart results={list} /> : null}
          <ResultTable list={list} />
        </>
      )}
    </Box>
  );
}

function ResultTable({ list }: { list: readonly PracticeLine[] }) {
  return (
    <Box
      component="table"
      aria-label="Latest results"
      sx={{
        borderCollapse: "collapse",
        width: "100%",
        mt: 4,
        "& th, & td": {
          textAlign: "left",
          py: 1.5,
          pr: 3,
          borderBottom: "1px solid",
          borderColor: "divider",
        },
        "& td:first-of-type": { whiteSpace: "nowrap" },
        "& th": { fontSize: "0.875rem", color: "text.secondary", fontWeight: 600 },
      }}
    >
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
    </Box>
  );
}
