"use client";

import Box from "@mui/material/Box";
import {
  CartesianGrid,
  ComposedChart,
  Legend,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import type { PracticeLine } from "@/contract/routes/practice";
import { shareRight, WINDOW } from "./shareRight";

/** Share right over the last few motors, and readings taken against those needed, motor by motor. */
export function ProgressChart({ results }: { results: readonly PracticeLine[] }) {
  const data = results.map((result, i) => {
    return {
      motor: i + 1,
      right: shareRight(results.slice(0, i + 1)),
      readings: Number((result.readingsTaken / Math.max(1, result.readingsNeeded)).toFixed(2)),
    };
  });
  const last = data.at(-1);
  const text = last
    ? `${last.right} % right over the last ${Math.min(WINDOW, results.length)} motors; ${last.readings} times the readings needed on the last one.`
    : "";
  const tick = { fill: "var(--mui-palette-text-secondary)", fontSize: 12 };
  return (
    <Box component="figure" aria-label={text} sx={{ m: 0, mt: 3 }}>
      <Box component="figcaption" sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 1 }}>
        {text}
      </Box>
      <Box aria-hidden="true" sx={{ height: 240 }}>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart
            data={data}
            margin={{ top: 8, right: 8, bottom: 4, left: 0 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--mui-palette-divider)" vertical={false} />
            <XAxis dataKey="motor" tick={tick} allowDecimals={false} />
            <YAxis yAxisId="right" domain={[0, 100]} unit=" %" width={60} tick={tick} />
            <YAxis
              yAxisId="readings"
              orientation="right"
              domain={[0, (most: number) => Math.max(2, Math.ceil(most))]}
              unit="×"
              width={40}
              tick={tick}
            />
            <ReferenceLine
              yAxisId="readings"
              y={1}
              stroke="var(--mui-palette-text-primary)"
              strokeDasharray="5 4"
            />
            <Tooltip contentStyle={{ background: "var(--mui-palette-background-paper)" }} />
            <Legend />
            <Line
              yAxisId="right"
              dataKey="right"
              name={`right, of the last ${WINDOW}`}
              stroke="var(--mui-palette-success-main)"
              strokeWidth={2}
              dot={{ r: 3 }}
              isAnimationActive={false}
            />
            <Scatter
              yAxisId="readings"
              dataKey="readings"
              name="readings ÷ needed"
              fill="var(--mui-palette-primary-main)"
              shape="diamond"
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </Box>
    </Box>
  );
}
