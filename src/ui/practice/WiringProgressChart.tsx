"use client";

import Box from "@mui/material/Box";
import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { shareRight, WINDOW } from "./shareRight";

/** One wiring as the chart takes it. */
export interface WiringResultLine {
  readonly task: string;
  readonly isRight: boolean;
}

/** Share right over the last few of each kind of task, wiring by wiring. */
export function WiringProgressChart({ results }: { results: readonly WiringResultLine[] }) {
  const ofTask = (upTo: number, finding: boolean) =>
    results.slice(0, upTo + 1).filter(({ task }) => (task === "find-it") === finding);
  const data = results.map(({ task }, i) => ({
    wiring: i + 1,
    wired: task === "find-it" ? null : shareRight(ofTask(i, false)),
    found: task === "find-it" ? shareRight(ofTask(i, true)) : null,
  }));
  const words = (finding: boolean, name: string) => {
    const all = ofTask(results.length - 1, finding);
    return all.length > 0
      ? [`${name}: ${shareRight(all)} % right over the last ${Math.min(WINDOW, all.length)}`]
      : [];
  };
  const text = `${[...words(false, "Motors wired"), ...words(true, "Faults looked for")].join("; ")}.`;
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
            <XAxis dataKey="wiring" tick={tick} allowDecimals={false} />
            <YAxis domain={[0, 100]} unit=" %" width={60} tick={tick} />
            <Tooltip contentStyle={{ background: "var(--mui-palette-background-paper)" }} />
            <Legend />
            <Line
              dataKey="wired"
              name="motors wired, right"
              stroke="var(--mui-palette-success-main)"
              strokeWidth={2}
              dot={{ r: 3 }}
              connectNulls
              isAnimationActive={false}
            />
            <Line
              dataKey="found"
              name="faults found, right"
              stroke="var(--mui-palette-primary-main)"
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
