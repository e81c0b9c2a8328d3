"use client";

import { Line, XAxis, YAxis } from "recharts";
import type { TruckObjective, TruckPlan } from "@/core/replacement";
import { ChartFrame } from "../charts/ChartFrame";
import { lineStyle, nameStyle, TICK } from "../charts/chartStyle";

/** Share of past needs covered against what is carried, part by part. */
export function CoverageChart({ plan, objective }: { plan: TruckPlan; objective: TruckObjective }) {
  const data = plan.curve.map(({ parts, cost, share }) => ({
    carried: objective === "cost" ? Number(cost.toFixed(2)) : parts,
    covered: Number((100 * share).toFixed(1)),
  }));
  const half = plan.curve.find(({ share }) => share >= 0.5);
  const text = `Coverage by what is carried: ${half ? `half of it by the first ${half.parts} parts, ` : ""}${((100 * plan.covered) / Math.max(1, plan.needs)).toFixed(0)} % by ${plan.chosen.length}.`;
  const axis = objective === "cost" ? "cost of what is carried" : "parts carried";
  return (
    <ChartFrame
      text={text}
      data={data}
      height={260}
      bottom={18}
      tip={{ formatter: (value) => [`${value} %`, "covered"] }}
    >
      <XAxis
        dataKey="carried"
        type="number"
        tick={TICK}
        label={{ value: axis, position: "insideBottom", offset: -10, ...nameStyle() }}
      />
      <YAxis domain={[0, 100]} unit=" %" width={60} tick={TICK} />
      <Line type="stepAfter" dataKey="covered" {...lineStyle("primary-main")} />
    </ChartFrame>
  );
}
