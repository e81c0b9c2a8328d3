"use client";

import Box from "@mui/material/Box";
import type { ComponentProps, ReactNode } from "react";
import { CartesianGrid, ComposedChart, Legend, ResponsiveContainer, Tooltip } from "recharts";

interface Props {
  /** What the chart shows, in one sentence: read in its place, and written over it. */
  readonly text: string;
  readonly data: readonly object[];
  /** Pixels. */
  readonly height?: number;
  /** Left out of sight where the heading beside it says as much; read all the same. */
  readonly captioned?: boolean;
  /** Room under the axis, where it has a name. */
  readonly bottom?: number;
  /** The lines by name, under the chart. */
  readonly named?: boolean;
  /** How a point is told where the pointer is; null for none. */
  readonly tip?: Pick<ComponentProps<typeof Tooltip>, "labelFormatter" | "formatter"> | null;
  /** Axes and lines. */
  readonly children: ReactNode;
}

/** The one frame of all charts: a figure with its sentence, and the drawing that a reader of the screen passes over. */
export function ChartFrame({
  text,
  data,
  height = 220,
  captioned = true,
  bottom = 4,
  named = false,
  tip = {},
  children,
}: Props) {
  return (
    <Box component="figure" aria-label={text} sx={{ m: 0, minWidth: 0 }}>
      {captioned ? (
        <Box component="figcaption" sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 1 }}>
          {text}
        </Box>
      ) : null}
      <Box aria-hidden="true" sx={{ height }}>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart
            data={[...data]}
            margin={{ top: 8, right: 12, bottom, left: 0 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--mui-palette-divider)" vertical={false} />
            {children}
            {tip ? (
              <Tooltip {...tip} contentStyle={{ background: "var(--mui-palette-background-paper)" }} />
            ) : null}
            {named ? <Legend /> : null}
          </ComposedChart>
        </ResponsiveContainer>
      </Box>
    </Box>
  );
}
