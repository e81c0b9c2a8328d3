"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { useMemo } from "react";
import { HISTORY_C, type HistorySeries, unitHistory } from "@/core";
import { localDay } from "../parts/useLocalDay";
import { Verdict } from "../parts/Verdict";
import type { UnitRecord } from "./useUnit";

const HistoryChart = dynamic(() => import("./HistoryChart").then((made) => made.HistoryChart));

/** How the motor's figures went over the visits, each against its alarm lines. */
export function UnitCharts({ visits }: { visits: UnitRecord["visits"] }) {
  const history = useMemo(() => unitHistory(visits, localDay), [visits]);
  const groups = [
    { title: `Ohms at ${HISTORY_C} °C`, unit: "Ω", series: history.ohms },
    { title: "Insulation at 40 °C", unit: "MΩ", series: history.insulation },
    { title: "Capacitor, µF in per cent of its label", unit: "%", series: history.capacitors },
    { title: "Amps", unit: "A", series: history.amps },
  ].filter(({ series }) => series.length > 0);
  if (groups.length === 0) return null;
  return (
    <Box component="section" aria-label="Over the years" sx={{ mb: 6 }}>
      {groups.map(({ title, unit, series }) => (
        <Box key={title} sx={{ mb: 5 }}>
          <Typography component="h3" sx={{ fontWeight: 700, mb: 1 }}>
            {title}
          </Typography>
          <Box
            sx={{
              display: "grid",
              gap: 4,
              gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "repeat(auto-fill, minmax(300px, 1fr))" },
            }}
          >
            {series.map((one) => (
              <Series key={one.of} series={one} unit={unit} />
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function Series({ series, unit }: { series: HistorySeries; unit: string }) {
  const { of, points, alarm } = series;
  const last = points.at(-1);
  const asRead = points.some((point) => point.asRead);
  return (
    <Box>
      <Box sx={{ display: "flex", gap: 3, justifyContent: "space-between" }}>
        <Typography sx={{ fontWeight: 600 }}>{of}</Typography>
        <Typography>{last ? `${Number(last.value.toPrecision(3))} ${unit}` : ""}</Typography>
      </Box>
      {points.length > 1 ? <HistoryChart series={series} unit={unit} /> : null}
      {alarm === "" ? null : <Verdict weight="again" word={alarm} />}
      {asRead ? (
        <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
          Some as read: the winding’s temperature was not told.
        </Typography>
      ) : null}
    </Box>
  );
}
