"use client";

import Box from "@mui/material/Box";
import Table from "@mui/material/Table";
import Typography from "@mui/material/Typography";
import { memo, useDeferredValue, useMemo, useState } from "react";
import type { JobWiring } from "@/core";
import {
  AS_PLANNED,
  canHavePlug,
  guardedStatesOf,
  type ScreenRun,
  statesOf,
  type Tried,
  type TriedChange,
  triedQuestion,
  wiringDrawing,
} from "@/core/wiring";
import { trying } from "@/workers/try";
import { useJobWiring, useLeadNames } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { Coming } from "../parts/Coming";
import { useWorked } from "../parts/useWorked";
import { usePlaceName } from "../words/usePlaceName";
import { RunCurves } from "./RunCurves";
import { useWireName } from "./useWireName";
import { WiringDrawingView } from "./WiringDrawingView";

const CAPACITOR_TIMES = [0, 0.5, 0.75, 1, 1.5, 2] as const;
const NOBODY: ReadonlySet<string> = new Set();

/** The planned circuit run on screen, in a worker: a call, a change to try, what flows, and the difference it makes. */
export function RunPanel() {
  const wiring = useJobWiring();
  const name = useWireName();
  const [call, setCall] = useState("");
  const [change, setChange] = useState<TriedChange>(AS_PLANNED);
  const { swap, capacitorTimes, plugOver } = change;
  const run = useMemo(
    () => (wiring.kind === "plan" ? runOf(wiring, call, change) : null),
    [wiring, call, change],
  );
  const { known, working } = useWorked(run?.question ?? "", trying, { none: null });
  if (wiring.kind !== "plan" || !run) return null;
  const leads = wiring.leads;
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
        <Choice
          label="Change over"
          value={swap[0]}
          onChange={(lead) => setChange({ ...change, swap: [lead, swap[1]] })}
        >
          {list}
        </Choice>
        <Choice
          label="with"
          value={swap[1]}
          onChange={(lead) => setChange({ ...change, swap: [swap[0], lead] })}
        >
          {list}
        </Choice>
        <Choice
          label="Capacitor"
          value={String(capacitorTimes)}
          onChange={(by) => setChange({ ...change, capacitorTimes: Number(by) })}
        >
          {CAPACITOR_TIMES.map((by) => (
            <option key={by} value={by}>
              {by === 1 ? "as planned" : by === 0 ? "not there" : `${by} times the µF`}
            </option>
          ))}
        </Choice>
        {canHavePlug(wiring.motor) ? (
          <Choice
            label="Plug for rotation"
            value={plugOver ? "over" : "planned"}
            onChange={(value) => setChange({ ...change, plugOver: value === "over" })}
          >
            <option value="planned">as planned</option>
            <option value="over">turned over</option>
          </Choice>
        ) : null}
      </Box>
      {known?.value ? (
        <Box aria-busy={working} sx={AWAITED}>
          <Runs tried={known.value} leads={leads} />
        </Box>
      ) : (
        <Coming />
      )}
    </Box>
  );
}

/** Faint where the next answer takes longer than a hand would notice. */
const AWAITED = { '&[aria-busy="true"]': { opacity: 0.6, transition: "opacity 0s 100ms" } } as const;

/**
 * What was run last, all of one answer; what is chosen meanwhile draws none of it anew. Figures and what is live first, curves
 * and wires after.
 */
const Runs = memo(function Runs({ tried, leads }: { tried: Tried; leads: readonly string[] }) {
  const { planned, other } = tried;
  const drawn = useDeferredValue(tried);
  const name = useWireName();
  const { live } = other ?? planned;
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 5 }}>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,5fr) minmax(0,7fr)" },
          gap: { xs: 5, md: 8 },
        }}
      >
        <Figures planned={planned} other={other} />
        <RunCurves tried={drawn} />
      </Box>
      <Box>
        <Typography>
          {live.length > 0
            ? `Live, over 30 V to the frame: ${live.map(name).join(", ")}.`
            : "No lead of the motor is live."}
        </Typography>
        <LiveWires tried={drawn} leads={leads} />
      </Box>
    </Box>
  );
});

type Planned = Extract<JobWiring, { kind: "plan" }>;

/** What is run: the call, and the question that asks what a change to the plan does in it. */
function runOf({ plan, motor, fitted }: Planned, call: string, change: TriedChange) {
  const { compartment } = plan;
  const states = [...statesOf(compartment), ...guardedStatesOf(compartment)];
  const state = states.find(({ id }) => id === call) ?? states[1] ?? states[0];
  return state ? { states, state, question: triedQuestion({ plan, motor, fitted, state, change }) } : null;
}

/** Which wires are live, drawn. */
const LiveWires = memo(function LiveWires({
  tried: { planned, other, changed },
  leads,
}: {
  tried: Tried;
  leads: readonly string[];
}) {
  const placeName = usePlaceName();
  const { leadOf } = useLeadNames();
  const name = useWireName();
  return (
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
        drawing={wiringDrawing(changed, leads)}
        wrong={NOBODY}
        live={new Set((other ?? planned).live)}
        leadOf={leadOf}
        name={name}
        placeOf={(lead) => placeName(changed.compartment, changed.landings[lead] ?? "")}
      />
    </Box>
  );
});

/** A capacitor that carries less is behind an open contact. */
const LEAST_AMPS = 1e-4;
const WAY_WORDS = { forward: "forward", backward: "backward", not: "does not turn" } as const;

function Figures({ planned, other }: { planned: ScreenRun; other: ScreenRun | null }) {
  const rows: readonly (readonly [string, (run: ScreenRun) => string])[] = [
    ["Turns", ({ turning }) => (turning ? WAY_WORDS[turning.way] : "dead short")],
    ["Speed", ({ turning }) => (turning ? `${Math.round(turning.rpm)} rpm` : "–")],
    ["Line amps", ({ turning, lineAmps }) => (turning ? `${short(lineAmps)} A` : "breaker trips")],
    ["Capacitor", ({ capacitor }) => capacitorWords(capacitor)],
    ["Copper loss", ({ turning }) => (turning ? `${Math.round(turning.copperWatts)} W` : "–")],
    ["Shaft power", ({ turning }) => (turning ? `${Math.round(turning.shaftWatts)} W` : "–")],
  ];
  return (
    <Table aria-label="What it does" sx={{ alignSelf: "start" }}>
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
    </Table>
  );
}

function capacitorWords(carried: ScreenRun["capacitor"]): string {
  if (!carried) return "none";
  return carried.amps < LEAST_AMPS
    ? "out of circuit"
    : `${Math.round(carried.volts)} V, ${short(carried.amps)} A`;
}

function short(value: number): string {
  return String(Number(value.toPrecision(3)));
}
