"use client";

import { Line, XAxis, YAxis } from "recharts";
import { ChartFrame } from "../charts/ChartFrame";
import { lineStyle, TICK } from "../charts/chartStyle";
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
  return (
    <ChartFrame text={text} data={data} named>
      <XAxis dataKey="wiring" tick={TICK} allowDecimals={false} />
      <YAxis domain={[0, 100]} unit=" %" width={60} tick={TICK} />
      <Line dataKey="wired" name="motors wired, right" connectNulls {...lineStyle("success-main")} />
      <Line
        dataKey="found"
        name="faults found, right"
        connectNulls
        {...lineStyle("primary-main", { dashes: "6 4" })}
      />
    </ChartFrame>
  );
}
