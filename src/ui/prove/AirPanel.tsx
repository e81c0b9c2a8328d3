"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { parseNumber, plateOf } from "@/core";
import {
  CFM_PER_TON,
  cubicFeetAMinute,
  type Diagnosis,
  densityRatio,
  speedsByRise,
  stopAmps,
} from "@/core/proving";
import { useJob, useJobWiring } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { PlainEntry } from "../parts/PlainEntry";
import { Verdict } from "../parts/Verdict";
import { useNames } from "./useNames";

/** Temperature rise and air of a blower: inside the machine's plate or not, and the speed that would come nearest. */
export function AirPanel({ diagnosis }: { diagnosis: Diagnosis }) {
  const { job } = useJob("plates");
  const wiring = useJobWiring();
  const names = useNames();
  const [call, setCall] = useState("");
  const [text, setText] = useState({ back: "", out: "", low: "", high: "", watts: "", tons: "" });
  if (wiring.kind !== "plan") return null;
  const set = (key: keyof typeof text) => (value: string) =>
    setText((before) => ({ ...before, [key]: value }));
  const number = (key: keyof typeof text) => parseNumber(text[key]);
  const plate = plateOf(job);
  const { wanted } = wiring.plan;
  const calls = [...new Set(diagnosis.expected.map((one) => one.call))];
  const at = calls.includes(call) ? call : (calls[0] ?? "");
  const [back, out, low, high, watts, tons] = [
    number("back"),
    number("out"),
    number("low"),
    number("high"),
    number("watts"),
    number("tons"),
  ];
  const riseF = back !== null && out !== null && out > back ? out - back : null;
  const figure = (of: string, what: "rpm" | "line-amps") => {
    const bands = diagnosis.expected.filter((one) => one.call === of && one.what === what);
    return Math.max(0, ...bands.flatMap((one) => ("likely" in one ? [one.likely] : [])));
  };
  const inside = riseF !== null && low !== null && high !== null ? riseF >= low && riseF <= high : null;
  const speeds =
    riseF !== null && low !== null && high !== null
      ? speedsByRise(
          { rpm: figure(at, "rpm"), riseF, amps: figure(at, "line-amps") },
          calls.flatMap((one) => {
            const speed = wanted.find((want) => want.call === one)?.speed;
            return speed ? [{ speed, rpm: figure(one, "rpm"), amps: figure(one, "line-amps") }] : [];
          }),
          { lowF: low, highF: high },
          stopAmps(plate, Math.max(...(plate.fullLoadAmps ?? [Number.POSITIVE_INFINITY]))),
        )
      : [];
  const running = wanted.find((want) => want.call === at)?.speed ?? null;
  const [best] = speeds;
  const cfm =
    watts !== null && watts > 0 && riseF !== null
      ? cubicFeetAMinute(watts, riseF, densityRatio(plate.altitudeM ?? 0))
      : null;
  return (
    <Box sx={{ display: "grid", gap: 3 }}>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(3, 1fr)" }, gap: 2 }}>
        <Choice label="On which call" value={at} onChange={setCall}>
          {calls.map((one) => (
            <option key={one} value={one}>
              {names.call(one)}
            </option>
          ))}
        </Choice>
        <PlainEntry label="Air in, °F" value={text.back} onChange={set("back")} numeric />
        <PlainEntry label="Air out, °F" value={text.out} onChange={set("out")} numeric />
        <PlainEntry label="Rise on its plate from, °F" value={text.low} onChange={set("low")} numeric />
        <PlainEntry label="to, °F" value={text.high} onChange={set("high")} numeric />
        <PlainEntry
          label="Electric heat, V × A in watts"
          value={text.watts}
          onChange={set("watts")}
          numeric
        />
        <PlainEntry label="Cooling, tons" value={text.tons} onChange={set("tons")} numeric />
      </Box>
      <Box role="status">
        {riseF === null ? (
          <Typography sx={{ color: "text.secondary" }}>
            Air in and air out, away from the heater’s glow, after ten minutes.
          </Typography>
        ) : (
          <>
            {inside === null ? (
              <Typography>
                The rise is {Math.round(riseF)} °F; the machine’s plate says what it may be.
              </Typography>
            ) : (
              <>
                <Verdict weight={inside ? "good" : "again"} />
                <Typography>
                  The rise is {Math.round(riseF)} °F, plate {low} to {high}.
                  {best && running !== null && best.speed !== running && best.passes
                    ? ` Speed ${best.speed} would come nearest the middle: about ${Math.round(best.riseF)} °F at ${best.amps.toFixed(1)} A.`
                    : ""}
                </Typography>
                {inside ? null : (
                  <Typography>
                    A wrong blower speed overheats the exchanger: filter and duct first, then the speed.
                  </Typography>
                )}
              </>
            )}
            {cfm === null ? null : (
              <Typography>
                About {Math.round(cfm / 10) * 10} cfm
                {tons !== null && tons > 0
                  ? `, ${Math.round(cfm / tons)} a ton; ${CFM_PER_TON.low} to ${CFM_PER_TON.high} is usual`
                  : ""}
                .
              </Typography>
            )}
          </>
        )}
      </Box>
    </Box>
  );
}
