"use client";

import { Line, ReferenceLine, XAxis, YAxis } from "recharts";
import type { HistorySeries } from "@/core";
import { ChartFrame } from "../charts/ChartFrame";
import { DAYS, dayOf, limitStyle, lineStyle, TICK } from "../charts/chartStyle";

/** One figure over the visits with its alarm lines. */
export function HistoryChart({ series, unit }: { series: HistorySeries; unit: string }) {
  const { of, points, low, high } = series;
  const data = points.map(({ on, value }) => ({ at: Date.parse(on), value }));
  const text = `${of}: ${points.map(({ on, value }) => `${show(value)} ${unit} on ${on}`).join(", ")}.`;
  const lines = [low, high].filter((line) => line !== null);
  const all = [...data.map(({ value }) => value), ...lines];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = (most - least || most || 1) * 0.15;
  return (
    <ChartFrame
      text={text}
      data={data}
      height={150}
      captioned={false}
      tip={{
        labelFormatter: (at) => dayOf(Number(at)),
        formatter: (value) => [`${show(Number(value))} ${unit}`, of],
      }}
    >
      <XAxis {...DAYS} tickFormatter={monthOf} />
      <YAxis domain={[Math.max(0, least - room), most + room]} tickFormatter={show} tick={TICK} width={46} />
      {lines.map((line) => (
        <ReferenceLine key={line} y={line} {...limitStyle("warning-main")} />
      ))}
      <Line dataKey="value" {...lineStyle("primary-main")} />
    </ChartFrame>
  );
}

function show(value: number): string {
  return String(Number(value.toPrecision(3)));
}

function monthOf(at: number): string {
  return dayOf(at).slice(0, 7);
}
