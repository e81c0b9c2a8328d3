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
import { comparableMegohms, type InsulationTest } from "@/core";

/** Passes from here on, and must not run below: megohms at 40 °C. */
const LIMITS = [
  { megohms: 5, word: "5 MΩ: passes" },
  { megohms: 1, word: "1 MΩ: do not run" },
] as const;

/** Insulation at 40 °C over the visits, megohms by powers of ten. */
export function InsulationTrend({ tests }: { tests: readonly InsulationTest[] }) {
  const data = tests.map((test) => ({
    at: Date.parse(test.on),
    megohms: Math.max(0.01, comparableMegohms(test)),
  }));
  const last = data.at(-1);
  const first = data[0];
  const text = `Insulation at 40 °C over ${data.length} tests: from ${show(first?.megohms)} on ${day(first?.at)} to ${show(last?.megohms)} on ${day(last?.at)}.`;
  return (
    <Box component="figure" aria-label={text} sx={{ m: 0, mt: 4 }}>
      <Box component="figcaption" sx={{ fontSize: "0.875rem", color: "text.secondary", mb: 1 }}>
        {text}
      </Box>
      <Box aria-hidden="true" sx={{ height: 220 }}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart
            data={data}
            margin={{ top: 8, right: 12, bottom: 4, left: 0 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--mui-palette-divider)" vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              scale="time"
              domain={["dataMin", "dataMax"]}
              tickFormatter={day}
              tick={{ fill: "var(--mui-palette-text-secondary)", fontSize: 12 }}
              minTickGap={40}
            />
            <YAxis
              scale="log"
              domain={[(least: number) => Math.min(0.5, least), (most: number) => Math.max(20, most)]}
              allowDataOverflow
              tickFormatter={(value: number) => String(Number(value.toPrecision(2)))}
              tick={{ fill: "var(--mui-palette-text-secondary)", fontSize: 12 }}
              width={68}
              unit=" MΩ"
            />
            {LIMITS.map(({ megohms, word }) => (
              <ReferenceLine
                key={megohms}
                y={megohms}
                stroke="var(--mui-palette-text-primary)"
                strokeDasharray="5 4"
                label={{
                  value: word,
                  position: "insideTopLeft",
                  fontSize: 12,
                  fill: "var(--mui-palette-text-primary)",
                }}
              />
            ))}
            <Tooltip
              labelFormatter={(at) => day(Number(at))}
              formatter={(value) => [show(Number(value)), "at 40 °C"]}
              contentStyle={{ background: "var(--mui-palette-background-paper)" }}
            />
            <Line
              dataKey="megohms"
              stroke="var(--mui-palette-primary-main)"
              strokeWidth={2}
              dot={{ r: 4, fill: "var(--mui-palette-primary-main)" }}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </Box>
    </Box>
  );
}

function show(megohms: number | undefined): string {
  return megohms === undefined ? "–" : `${Number(megohms.toPrecision(2))} MΩ`;
}

function day(at: number | undefined): string {
  return at === undefined ? "–" : new Date(at).toISOString().slice(0, 10);
}
