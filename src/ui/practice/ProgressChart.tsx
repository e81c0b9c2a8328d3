"use client";

import { Line, ReferenceLine, Scatter, XAxis, YAxis } from "recharts";
import type { PracticeLine } from "@/contract/routes/practice";
import { ChartFrame } from "../charts/ChartFrame";
import { limitStyle, lineStyle, pointStyle, TICK } from "../charts/chartStyle";
import { shareRight, WINDOW } from "./shareRight";

/** Share right over the last few motors, and readings taken against those needed, motor by motor. */
export function ProgressChart({ results }: { results: readonly PracticeLine[] }) {
  const data = results.map((result, i) => ({
    motor: i + 1,
    right: shareRight(results.slice(0, i + 1)),
    readings: Number((result.readingsTaken / Math.max(1, result.readingsNeeded)).toFixed(2)),
  }));
  const last = data.at(-1);
  const text = last
    ? `${last.right} % right over the last ${Math.min(WINDOW, results.length)} motors; ${last.readings} times the readings needed on the last one.`
    : "";
  return (
    <ChartFrame text={text} data={data} height={240} named>
      <XAxis dataKey="motor" tick={TICK} allowDecimals={false} />
      <YAxis yAxisId="right" domain={[0, 100]} unit=" %" width={60} tick={TICK} />
      <YAxis
        yAxisId="readings"
        orientation="right"
        domain={[0, (most: number) => Math.max(2, Math.ceil(most))]}
        unit="×"
        width={40}
        tick={TICK}
      />
      <ReferenceLine yAxisId="readings" y={1} {...limitStyle()} />
      <Line
        yAxisId="right"
        dataKey="right"
        name={`right, of the last ${WINDOW}`}
        {...lineStyle("success-main")}
      />
      <Scatter
        yAxisId="readings"
        dataKey="readings"
        name="readings ÷ needed"
        shape="diamond"
        {...pointStyle("primary-main")}
      />
    </ChartFrame>
  );
}
