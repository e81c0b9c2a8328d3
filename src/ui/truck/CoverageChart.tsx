"use client";

import Box from "@mui/material/Box";
import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { TruckObjective, TruckPlan } from "@/core/replacement";

/** Share of past needs covered against what is carried, part by part. */
export function CoverageChart({ plan, objective }: { plan: TruckPlan; objective: TruckObjective }) {
  const data = plan.curve.map(({ parts, cost, share }) => ({
    carried: objective === "cost" ? Number(cost.toFixed(2)) : parts,
    covered: Number((100 * share).toFixed(1)),
  }));
  const half = plan.curve.find(({ share }) => share >= 0.5);
  const text = `Coverage by what is carried: ${half ? `half of it by the first ${half.parts} parts, ` : ""}${((100 * plan.covered) / Math.max(1, plan.needs)).toFixed(0)} % by ${plan.chosen.length}.`;
  const tick = { fill: "var(--mui-palette-text-secondary)", fontSize: 12 };
  return (
    <Box component="figure" aria-label={text} sx={{ m: 0 }}>
      <Box component="figcaption" sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 1 }}>
        {text}
      </Box>
      <Box aria-hidden="true" sx={{ height: 260 }}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart
            data={data}
            margin={{ top: 8, right: 16, bottom: 18, left: 0 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--mui-palette-divider)" vertical={false} />
            <XAxis
              dataKey="carried"
              type="number"
              tick={tick}
              label={{
                value: objective === "cost" ? "cost of what is carried" : "parts carried",
                position: "insideBottom",
                offset: -10,
                fill: "var(--mui-palette-text-secondary)",
                fontSize: 12,
              }}
            />
            <YAxis domain={[0, 100]} unit=" %" width={60} tick={tick} />
            <Tooltip
              formatter={(value) => [`${value} %`, "covered"]}
              contentStyle={{ background: "var(--mui-palette-background-paper)" }}
            />
            <Line
              type="stepAfter"
              dataKey="covered"
              stroke="var(--mui-palette-primary-main)"
              strokeWidth={2.5}
              dot={{ r: 3 }}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </Box>
    </Box>
  );
}
