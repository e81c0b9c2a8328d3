"use client";

import { Line, ReferenceLine, XAxis, YAxis } from "recharts";
import { comparableMegohms, type InsulationTest } from "@/core";
import { ChartFrame } from "../charts/ChartFrame";
import { DAYS, dayOf, limitStyle, lineStyle, nameStyle, TICK } from "../charts/chartStyle";

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
  const [first, last] = [data[0], data.at(-1)];
  if (!first || !last) return null;
  const text = `Insulation at 40 °C over ${data.length} tests: from ${show(first.megohms)} on ${dayOf(first.at)} to ${show(last.megohms)} on ${dayOf(last.at)}.`;
  return (
    <ChartFrame
      text={text}
      data={data}
      tip={{
        labelFormatter: (at) => dayOf(Number(at)),
        formatter: (value) => [show(Number(value)), "at 40 °C"],
      }}
    >
      <XAxis {...DAYS} tickFormatter={dayOf} />
      <YAxis
        scale="log"
        domain={[(least: number) => Math.min(0.5, least), (most: number) => Math.max(20, most)]}
        allowDataOverflow
        tickFormatter={(value: number) => String(Number(value.toPrecision(2)))}
        tick={TICK}
        width={68}
        unit=" MΩ"
      />
      {LIMITS.map(({ megohms, word }) => (
        <ReferenceLine
          key={megohms}
          y={megohms}
          {...limitStyle()}
          label={{ value: word, position: "insideTopLeft", ...nameStyle("text-primary") }}
        />
      ))}
      <Line dataKey="megohms" {...lineStyle("primary-main")} />
    </ChartFrame>
  );
}

function show(megohms: number): string {
  return `${Number(megohms.toPrecision(2))} MΩ`;
}
