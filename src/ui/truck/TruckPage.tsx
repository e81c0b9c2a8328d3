"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Link from "@mui/material/Link";
import Table from "@mui/material/Table";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import NextLink from "next/link";
import { useState } from "react";
import type { TruckObjective, TruckPlan, TruckProgress } from "@/core/replacement";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { Verdict } from "../parts/Verdict";
import { MONO } from "../theme/faces";
import { Say, useWords } from "../words/UsageProvider";
import { useTruckPlan } from "./useTruckPlan";

const CoverageChart = dynamic(() => import("./CoverageChart").then((m) => m.CoverageChart), {
  ssr: false,
  loading: () => <Typography sx={{ color: "text.secondary" }}>Drawing the chart …</Typography>,
});

const SHARES = [50, 60, 70, 80, 90, 95, 100] as const;
const MOST_OUT_OF_REACH = 40;

/** Truck plan: the fewest or cheapest parts that would have covered the wanted share of past jobs. */
export function TruckPage() {
  const words = useWords();
  const [share, setShare] = useState("80");
  const [objective, setObjective] = useState<TruckObjective>("cost");
  const { running, progress, plan, says, begin, cancel } = useTruckPlan();
  return (
    <>
      <TopBar />
      <Box
        component="main"
        id={MAIN}
        sx={{ maxWidth: 1240, mx: "auto", px: { xs: 3, md: 6 }, py: { xs: 4, md: 6 } }}
      >
        <Typography variant="h1">Truck plan</Typography>
        <Typography sx={{ mt: 1, mb: 4, color: "text.secondary", maxWidth: 680 }}>
          Which motors and capacitors, carried on the truck, would have covered the past jobs? Worked out from
          every plate on record and everything in{" "}
          <Link component={NextLink} href="/stock">
            Stock
          </Link>
          <Say>, catalog included.</Say>
        </Typography>
        <Box
          component="form"
          onSubmit={(event: React.FormEvent) => {
            event.preventDefault();
            void begin(Number(share) / 100, objective);
          }}
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "1fr 1fr", md: "244px 260px auto" },
            gap: 3,
            alignItems: "end",
            justifyContent: "start",
            borderTop: "3px solid",
            borderColor: "primary.main",
            pt: 3,
          }}
        >
          <Choice label="Cover at least" value={share} onChange={setShare}>
            {SHARES.map((percent) => (
              <option key={percent} value={percent}>
                {percent} % of what was needed
              </option>
            ))}
          </Choice>
          <Choice
            label="With"
            value={objective}
            onChange={(value) => setObjective(value === "parts" ? "parts" : "cost")}
          >
            <option value="cost">the least money</option>
            <option value="parts">the fewest parts</option>
          </Choice>
          <Button
            type="submit"
            variant="contained"
            disabled={running}
            sx={{ minHeight: 56, px: 6, gridColumn: { xs: "1 / -1", md: "auto" } }}
          >
            Work it out
          </Button>
        </Box>
        {running ? <Working progress={progress} onCancel={cancel} /> : null}
        {says ? (
          <Typography role="status" sx={{ mt: 4, fontWeight: 600 }}>
            {words(says)}
          </Typography>
        ) : null}
        {plan ? <Plan plan={plan} objective={objective} /> : null}
        {!running && !plan && !says ? (
          <Typography sx={{ mt: 4, color: "text.secondary" }}>
            Nothing worked out yet. It takes a few seconds, and can be given up at any time.
          </Typography>
        ) : null}
      </Box>
    </>
  );
}

function Working({ progress, onCancel }: { progress: TruckProgress | null; onCancel: () => void }) {
  const text = !progress
    ? "Fetching the past jobs …"
    : progress.stage === "judging"
      ? `Judging part ${progress.done} of ${progress.of} against every job`
      : `Searching: ${progress.nodes.toLocaleString("en-GB").replaceAll(",", " ")} choices tried, best ${progress.bestCost.toFixed(2)}, none under ${progress.lowerBound.toFixed(2)}`;
  return (
    <Box role="status" sx={{ mt: 4 }}>
      <Typography>{text}</Typography>
      <LinearProgress
        aria-label="Working it out"
        variant={progress?.stage === "judging" ? "determinate" : "indeterminate"}
        value={progress?.stage === "judging" ? (100 * progress.done) / progress.of : 0}
        sx={{ mt: 1, maxWidth: 480 }}
      />
      <Button color="inherit" onClick={onCancel} sx={{ mt: 2, minHeight: 48 }}>
        Cancel
      </Button>
    </Box>
  );
}

function Plan({ plan, objective }: { plan: TruckPlan; objective: TruckObjective }) {
  const unit = objective === "cost" ? "" : plan.total === 1 ? " part" : " parts";
  const total = objective === "cost" ? plan.total.toFixed(2) : String(plan.total);
  const gap = plan.total > 0 ? (100 * (plan.total - plan.lowerBound)) / plan.total : 0;
  const share = plan.needs > 0 ? (100 * plan.covered) / plan.needs : 0;
  return (
    <Box component="section" aria-label="The plan" sx={{ mt: 5, display: "grid", gap: 5 }}>
      <Box role="status">
        <Typography variant="h2">
          {plan.chosen.length} parts cover {plan.covered} of {plan.needs} needs, {share.toFixed(0)} %
        </Typography>
        <Typography sx={{ mt: 1 }}>
          {objective === "cost" ? "Together " : ""}
          {total}
          {unit}.{" "}
          {plan.exact ? (
            <>
              <Verdict weight="good" word="Proved the least" />: every other choice was ruled out.
            </>
          ) : (
            <>
              <Verdict weight="again" word="Near the least" />: no choice is under{" "}
              {plan.lowerBound.toFixed(2)}
              {unit}; this one is at most {gap.toFixed(1)} % above it.
            </>
          )}
        </Typography>
      </Box>
      {plan.curve.length > 2 ? <CoverageChart plan={plan} objective={objective} /> : null}
      <Table aria-label="Parts to carry">
        <thead>
          <tr>
            <th scope="col">carry</th>
            <th scope="col">serves</th>
            <th scope="col">adds</th>
            <th scope="col">covered so far</th>
            <th scope="col">{objective === "cost" ? "cost" : "parts"}</th>
          </tr>
        </thead>
        <tbody>
          {plan.chosen.map(({ name, serves, adds, cost }, i) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td>{serves}</td>
              <td>{adds}</td>
              <td>{(100 * (plan.curve[i + 1]?.share ?? 0)).toFixed(0)} %</td>
              <Box component="td" sx={{ fontFamily: MONO }}>
                {objective === "cost" ? cost.toFixed(2) : cost}
              </Box>
            </tr>
          ))}
        </tbody>
      </Table>
      {plan.outOfReach.length > 0 ? (
        <Fold
          title="Out of reach"
          summary={`${plan.outOfReach.length} needs that nothing here would have served`}
        >
          <Box component="ul" sx={{ m: 0, pl: 5 }}>
            {plan.outOfReach.slice(0, MOST_OUT_OF_REACH).map(({ job, title, what }) => (
              <li key={`${job} ${what}`}>
                <Link component={NextLink} href={`/jobs/${job}/match`} prefetch={false}>
                  {title || "a job without a name"}
                </Link>
                : {what}
              </li>
            ))}
            {plan.outOfReach.length > MOST_OUT_OF_REACH ? (
              <li>{plan.outOfReach.length - MOST_OUT_OF_REACH} more.</li>
            ) : null}
          </Box>
        </Fold>
      ) : null}
    </Box>
  );
}
