"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useMemo, useState } from "react";
import {
  canHavePlug,
  guardedStatesOf,
  placeName,
  statesOf,
  turnedByPlug,
  type WhatIf,
  type WiringPlan,
  whatIf,
  wiringDrawing,
} from "@/core/wiring";
import { useJobWiring, useLeadNames } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { RunCurves } from "./RunCurves";
import { useWireName } from "./useWireName";
import { WiringDrawingView } from "./WiringDrawingView";

const CAPACITOR_TIMES = [0, 0.5, 0.75, 1, 1.5, 2] as const;
const NOBODY: ReadonlySet<string> = new Set();

/** The planned circuit run on screen: a call, a change to try, what flows, and the difference it makes. */
export function RunPanel() {
  const wiring = useJobWiring();
  const { leadOf } = useLeadNames();
  const name = useWireName();
  const [call, setCall] = useState("");
  const [swap, setSwap] = useState<readonly [string, string]>(["", ""]);
  const [times, setTimes] = useState(1);
  const [plug, setPlug] = useState(false);
  const run = useMemo(() => {
    if (wiring.kind !== "plan") return null;
    const { plan } = wiring;
    const states = [...statesOf(plan.compartment), ...guardedStatesOf(plan.compartment)];
    const state = states.find(({ id }) => id === call) ?? states[1] ?? states[0];
    if (!state) return null;
    const tried = changed(plan, swap, times);
    return {
      states,
      state,
      tried,
      drawing: wiringDrawing(tried, wiring.leads),
      planned: whatIf(plan, wiring, state),
      other:
        tried === plan && !plug
          ? null
          : whatIf(tried, plug ? { ...wiring, motor: turnedByPlug(wiring.motor) } : wiring, state),
    };
  }, [wiring, call, swap, times, plug]);
  if (wiring.kind !== "plan" || !run) return null;
  const leads = wiring.leads;
  const shown = run.other ?? run.planned;
  const list = (
    <>
      <option value="">none</option>
      {leads.map((id) => (
        <option key={id} value={id}>
          {name(id)}
        </option>
      ))}
    </>
  );
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 5 }}>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: {
            xs: "minmax(0,1fr) minmax(0,1fr)",
            md: "repeat(auto-fit, minmax(200px, 1fr))",
          },
          gap: 3,
        }}
      >
        <Choice label="Call" value={run.state.id} onChange={setCall}>
          {run.states.map(({ id, name: words }) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </Choice>
        <Choice label="Change over" value={swap[0]} onChange={(lead) => setSwap([lead, swap[1]])}>
          {list}
        </Choice>
        <Choice label="with" value={swap[1]} onChange={(lead) => setSwap([swap[0], lead])}>
          {list}
        </Choice>
        <Choice label="Capacitor" value={String(times)} onChange={(value) => setTimes(Number(value))}>
          {CAPACITOR_TIMES.map((by) => (
            <option key={by} value={by}>
              {by === 1 ? "as planned" : by === 0 ? "not there" : `${by} times the µF`}
            </option>
          ))}
        </Choice>
        {canHavePlug(wiring.motor) ? (
          <Choice
            label="Plug for rotation"
            value={plug ? "over" : "planned"}
            onChange={(value) => setPlug(value === "over")}
          >
            <option value="planned">as planned</option>
            <option value="over">turned over</option>
          </Choice>
        ) : null}
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,5fr) minmax(0,7fr)" },
          gap: { xs: 5, md: 8 },
        }}
      >
        <Figures planned={run.planned} other={run.other} />
        <RunCurves planned={run.planned} other={run.other} />
      </Box>
      <Box>
        <Typography>
          {shown.live.length > 0
            ? `Live, over 30 V to the frame: ${shown.live.map(name).join(", ")}.`
            : "No lead of the motor is live."}
        </Typography>
        <Box
          tabIndex={0}
          role="group"
          aria-label="Which wires are live, pans sideways"
          sx={{
            overflowX: "auto",
            border: "1px solid",
            borderColor: "divider",
            bgcolor: "background.paper",
            mt: 1,
          }}
        >
          <WiringDrawingView
            drawing={run.drawing}
            wrong={NOBODY}
            live={new Set(shown.live)}
            leadOf={leadOf}
            name={name}
            placeOf={(lead) => placeName(run.tried.compartment, run.tried.landings[lead] ?? "")}
          />
        </Box>
      </Box>
    </Box>
  );
}

/** The plan with two leads changed over and the run capacitor's value multiplied; the same plan where nothing is changed. */
function changed(plan: WiringPlan, [one, other]: readonly [string, string], times: number): WiringPlan {
  const swapped =
    one && other && one !== other
      ? {
          ...plan,
          landings: {
            ...plan.landings,
            [one]: plan.landings[other] ?? "",
            [other]: plan.landings[one] ?? "",
          },
        }
      : plan;
  if (times === 1) return swapped;
  const { compartment } = swapped;
  return {
    ...swapped,
    compartment: {
      ...compartment,
      devices: compartment.devices.map((device) => ({
        ...device,
        parts: device.parts.flatMap((part) => {
          if (part.kind !== "capacitor" || part.start) return [part];
          return times === 0 ? [] : [{ ...part, microfarads: part.microfarads * times }];
        }),
      })),
    },
  };
}

/** A capacitor that carries less is behind an open contact. */
const LEAST_AMPS = 1e-4;
const WAY = { runs: "forward", "runs-backward": "backward", stalls: "does not turn" } as const;

function Figures({ planned, other }: { planned: WhatIf; other: WhatIf | null }) {
  const rows: readonly (readonly [string, (run: WhatIf) => string])[] = [
    ["Turns", ({ outcome }) => (outcome.point ? WAY[outcome.point.outcome] : "dead short")],
    ["Speed", ({ outcome }) => (outcome.point ? `${Math.round(Math.abs(outcome.point.rpm))} rpm` : "–")],
    ["Line amps", ({ outcome }) => (outcome.point ? `${short(outcome.lineAmps)} A` : "breaker trips")],
    [
      "Capacitor",
      ({ outcome }) => {
        const most = [...outcome.capacitors].sort((a, b) => b.amps - a.amps)[0];
        if (!most) return "none";
        return most.amps < LEAST_AMPS
          ? "out of circuit"
          : `${Math.round(most.volts)} V, ${short(most.amps)} A`;
      },
    ],
    [
      "Copper loss",
      ({ outcome }) => (outcome.point ? `${Math.round(outcome.point.solution.power.copper)} W` : "–"),
    ],
    [
      "Shaft power",
      ({ outcome }) =>
        outcome.point ? `${Math.round(Math.abs(outcome.point.solution.power.mechanical))} W` : "–",
    ],
  ];
  return (
    <Box
      component="table"
      aria-label="What it does"
      sx={{
        borderCollapse: "collapse",
        width: "100%",
        alignSelf: "start",
        "& td, & th": { borderBottom: "1px solid", borderColor: "divider", py: 1, textAlign: "left" },
      }}
    >
      <thead>
        <tr>
          <th scope="col"> </th>
          <th scope="col">as planned</th>
          {other ? <th scope="col">with the change</th> : null}
        </tr>
      </thead>
      <tbody>
        {rows.map(([title, of]) => (
          <tr key={title}>
            <th scope="row" style={{ fontWeight: 400 }}>
              {title}
            </th>
            <td>
              <strong>{of(planned)}</strong>
            </td>
            {other ? (
              <td>
                <strong>{of(other)}</strong>
              </td>
            ) : null}
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

function short(value: number): string {
  return String(Number(value.toPrecision(3)));
}
