"use client";

import Box from "@mui/material/Box";
import { memo } from "react";
import { Line, XAxis, YAxis } from "recharts";
import type { Tried } from "@/core/wiring";
import { ChartFrame } from "../charts/ChartFrame";
import { lineStyle, TICK } from "../charts/chartStyle";

/** Torque and capacitor volts over speed, as planned and with the change; as it runs up: start contacts move on the way. */
export const RunCurves = memo(function RunCurves({ tried: { planned, other } }: { tried: Tried }) {
  if (planned.curve.length === 0 && (other?.curve.length ?? 0) === 0)
    return <p>No call: off. There is no torque to draw.</p>;
  const data = (planned.curve.length > 0 ? planned.curve : (other?.curve ?? [])).map((point, i) => ({
    rpm: Math.round(point.rpm),
    torque: planned.curve[i]?.torqueNm,
    load: point.loadNm,
    otherTorque: other?.curve[i]?.torqueNm,
    volts: planned.curve[i]?.capacitorVolts,
    otherVolts: other?.curve[i]?.capacitorVolts,
  }));
  const best = planned.curve.reduce((most, point) => Math.max(most, point.torqueNm), 0);
  const text = `Torque over speed, the way it turns: at rest ${show(planned.curve[0]?.torqueNm)} N·m, at best ${show(best)} N·m${other ? `; with the change at rest ${show(other.curve[0]?.torqueNm)} N·m` : ""}.`;
  return (
    <Box sx={{ display: "grid", gap: 4, minWidth: 0 }}>
      <Curves
        text={text}
        data={data}
        unit=" N·m"
        lines={[
          ["torque", "torque, as planned", "", "primary-main"],
          ...(other ? [["otherTorque", "with the change", "7 4", "error-main"] as const] : []),
          ["load", "what the load asks", "2 4", "text-secondary"],
        ]}
      />
      {data.some(({ volts, otherVolts }) => typeof volts === "number" || typeof otherVolts === "number") ? (
        <Curves
          text={`Volts across the capacitor, from rest ${show(planned.curve[0]?.capacitorVolts)} V to ${show(planned.curve.at(-1)?.capacitorVolts)} V at synchronous speed.`}
          data={data}
          unit=" V"
          lines={[
            ["volts", "capacitor, as planned", "", "primary-main"],
            ...(other ? [["otherVolts", "with the change", "7 4", "error-main"] as const] : []),
          ]}
        />
      ) : null}
    </Box>
  );
});

type LineSpec = readonly [
  key: string,
  name: string,
  dashes: string,
  color: "primary-main" | "error-main" | "text-secondary",
];

function Curves({
  text,
  data,
  unit,
  lines,
}: {
  text: string;
  data: readonly object[];
  unit: string;
  lines: readonly LineSpec[];
}) {
  return (
    <ChartFrame text={text} data={data} height={210} named tip={null}>
      <XAxis dataKey="rpm" type="number" domain={[0, "dataMax"]} unit=" rpm" tick={TICK} minTickGap={40} />
      <YAxis
        tick={TICK}
        width={88}
        unit={unit}
        tickFormatter={(value: number) => String(Number(value.toPrecision(2)))}
      />
      {lines.map(([key, name, dashes, color]) => (
        <Line key={key} dataKey={key} name={name} {...lineStyle(color, { dashes, dots: false })} />
      ))}
    </ChartFrame>
  );
}

function show(value: number | null | undefined): string {
  return value === null || value === undefined ? "–" : String(Number(value.toPrecision(3)));
}
