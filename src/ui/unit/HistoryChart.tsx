"use client";

import Box from "@mui/material/Box";
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import type { HistorySeries } from "@/core";

/** One figure over the visits with its alarm lines. */
export function HistoryChart({ series, unit }: { series: HistorySeries; unit: string }) {
  const { of, points, low, high } = series;
  const data = points.map(({ on, value }) => ({ at: Date.parse(on), value }));
  const text = `${of}: ${points.map(({ on, value }) => `${show(value)} ${unit} on ${on}`).join(", ")}.`;
  const lines = [low, high].filter((line) => line !== null);
  const all = [...data.map(({ value }) => value), ...lines];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = (most - least || most || 1) * 0.15;
  const tick = { fill: "var(--mui-palette-text-secondary)", fontSize: 12 };
  return (
    <Box role="img" aria-label={text} sx={{ height: 150 }}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={data} margin={{ top: 6, right: 14, bottom: 2, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--mui-palette-divider)" vertical={false} />
          <XAxis
            dataKey="at"
            type="number"
            scale="time"
            domain={["dataMin", "dataMax"]}
            tickFormatter={month}
            tick={tick}
            minTickGap={44}
          />
          <YAxis
            domain={[Math.max(0, least - room), most + room]}
            tickFormatter={show}
            tick={tick}
            width={46}
          />
          {lines.map((line) => (
            <ReferenceLine
              key={line}
              y={line}
              stroke="var(--mui-palette-warning-main)"
              strokeDasharray="5 4"
            />
          ))}
          <Tooltip
            labelFormatter={(at) => new Date(Number(at)).toISOString().slice(0, 10)}
            formatter={(value) => [`${show(Number(value))} ${unit}`, of]}
            contentStyle={{ background: "var(--mui-palette-background-paper)" }}
          />
          <Line
            dataKey="value"
            stroke="var(--mui-palette-primary-main)"
            strokeWidth={2}
            dot={{ r: 4, fill: "var(--mui-palette-primary-main)" }}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </Box>
  );
}

function show(value: number): string {
  return String(Number(value.toPrecision(3)));
}

function month(at: number): string {
  return new Date(at).toISOString().slice(0, 7);
}
