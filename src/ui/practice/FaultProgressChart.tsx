"use client";

import Box from "@mui/material/Box";
import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { shareRight, WINDOW } from "./shareRight";

/** One fault as the chart takes it. */
export interface FaultResultLine {
  readonly isRight: boolean;
  readonly minutes: number;
  readonly bestMinutes: number | null;
}

/** Minutes of each fault beside the best course, and the share right over the last few. */
export function FaultProgressChart({ results }: { results: readonly FaultResultLine[] }) {
  const data = results.map(({ minutes, bestMinutes }, i) => ({
    fault: i + 1,
    minutes,
    best: bestMinutes,
    right: shareRight(results.slice(0, i + 1)),
  }));
  const text = `${shareRight(results)} % right over the last ${Math.min(WINDOW, results.length)}; ${results.at(-1)?.minutes ?? 0} minutes for the last.`;
  const tick = { fill: "var(--mui-palette-text-secondary)", fontSize: 12 };
  return (
    <Box component="figure" aria-label={text} sx={{ m: 0, mt: 3 }}>
      <Box component="figcaption" sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 1 }}>
        {text}
      </Box>
      <Box aria-hidden="true" sx={{ height: 220 }}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={data} margin={{ top: 8, right: 8, bottom: 4, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--mui-palette-divider)" vertical={false} />
            <XAxis dataKey="fault" tick={tick} allowDecimals={false} />
            <YAxis unit=" min" width={64} tick={tick} />
            <Tooltip contentStyle={{ background: "var(--mui-palette-background-paper)" }} />
            <Legend />
            <Line
              dataKey="minutes"
              name="minutes taken"
              stroke="var(--mui-palette-primary-main)"
              strokeWidth={2}
              dot={{ r: 3 }}
              isAnimationActive={false}
            />
            <Line
              dataKey="best"
              name="the bench’s own course"
              stroke="var(--mui-palette-success-main)"
              strokeWidth={2}
              strokeDasharray="6 4"
              dot={{ r: 3 }}
              connectNulls
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </Box>
    </Box>
  );
}
