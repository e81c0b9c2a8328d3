"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { newVisit } from "../home/rowActions";
import { Notice } from "../parts/Notice";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { TOUCH } from "../theme/measures";
import { PresentMap } from "./PresentMap";
import { UnitCharts } from "./UnitCharts";
import { type UnitRecord, useUnit } from "./useUnit";
import { VisitList } from "./VisitList";

/** A unit: what is in it now, how its figures went over the years, and who was there when. */
export function UnitPage({ id }: { id: string }) {
  const [client] = useState(() => new QueryClient());
  return (
    <QueryClientProvider client={client}>
      <TopBar />
      <Box
        component="main"
        id={MAIN}
        sx={{ maxWidth: 1180, mx: "auto", px: { xs: 3, md: 6 }, py: { xs: 5, md: 8 } }}
      >
        <Asked id={id} />
      </Box>
    </QueryClientProvider>
  );
}

function Asked({ id }: { id: string }) {
  const { data, error, isPending, refetch } = useUnit(id);
  if (data) return <Unit record={data} />;
  if (isPending) return <Typography role="status">Fetching the visits of this unit …</Typography>;
  return (
    <Notice>
      <Typography variant="h1">This unit cannot be shown</Typography>
      <Typography sx={{ my: 4 }}>{error?.message ?? "There is no such unit."}</Typography>
      <Button color="inherit" onClick={() => void refetch()} sx={{ minHeight: TOUCH }}>
        Try again
      </Button>
    </Notice>
  );
}

function Unit({ record: { unit, visits } }: { record: UnitRecord }) {
  const router = useRouter();
  const positions = [...new Set(visits.map(({ job }) => job.unit?.position ?? ""))];
  const latest = visits.at(-1);
  return (
    <>
      <Box sx={{ display: "flex", gap: 5, alignItems: "end", flexWrap: "wrap", mb: 8 }}>
        <Box sx={{ flex: "1 1 320px", minWidth: 0 }}>
          <Typography variant="h1" sx={{ overflowWrap: "anywhere" }}>
            {unit.name}
          </Typography>
          <Typography sx={{ color: "text.secondary" }}>
            {[unit.site, unit.customer].filter((part) => part !== "").join(" · ")}
          </Typography>
        </Box>
        {latest ? (
          <Button
            variant="contained"
            sx={{ minHeight: 56, px: 6 }}
            onClick={async () => {
              const made = await newVisit(latest.id);
              if (made) router.push(`/jobs/${made}/probe`);
            }}
          >
            New visit
          </Button>
        ) : null}
      </Box>
      {positions.map((position) => {
        const here = visits.filter(({ job }) => (job.unit?.position ?? "") === position);
        return (
          <Box component="section" key={position} aria-label={position || "Motor"} sx={{ mb: 12 }}>
            {positions.length > 1 || position !== "" ? (
              <Typography variant="h2" sx={{ borderBottom: "1.5px solid", pb: 1, mb: 4 }}>
                {position || "Motor not said which"}
              </Typography>
            ) : null}
            <PresentMap visits={here} />
            <UnitCharts visits={here} />
            <VisitList visits={here} />
          </Box>
        );
      })}
    </>
  );
}
