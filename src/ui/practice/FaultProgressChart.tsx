"use client";

import { Line, XAxis, YAxis } from "recharts";
import { ChartFrame } from "../charts/ChartFrame";
import { lineStyle, TICK } from "../charts/chartStyle";
import { shareRight, WINDOW } from "./shareRight";

/** One fault as the chart takes it. */
export interface FaultResultLine {
  readonly isRight: boolean;
  readonly minutes: number;
  readonly bestMinutes: number | null;
}

/** Minutes of each fault beside the best course, and the share right over the last few. */
export function FaultProgressChart({ results }: { results: readonly FaultResultLine[] }) {
  const data = results.map(({ minutes, bestMinutes }, i) => ({ fault: i + 1, minutes, best: bestMinutes }));
  const text = `${shareRight(results)} % right over the last ${Math.min(WINDOW, results.length)}; ${results.at(-1)?.minutes ?? 0} minutes for the last.`;
  return (
    <ChartFrame text={text} data={data} named>
      <XAxis dataKey="fault" tick={TICK} allowDecimals={false} />
      <YAxis unit=" min" width={64} tick={TICK} />
      <Line dataKey="minutes" name="minutes taken" {...lineStyle("primary-main")} />
      <Line
        dataKey="best"
        name="the bench’s own course"
        connectNulls
        {...lineStyle("success-main", { dashes: "6 4" })}
      />
    </ChartFrame>
  );
}
