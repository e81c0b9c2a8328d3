"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { v7 as uuid } from "uuid";
import { CAPPED, type Compartment, jointPlace, type WiringPlan } from "@/core/wiring";
import { useJob, useJobWiring } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { TOUCH } from "../theme/measures";
import { usePlaceName } from "../words/usePlaceName";
import { useWireName } from "./useWireName";

/** Places offered beside those in use: a joint of the motor's own leads. */
const MOST_JOINTS = 4;

interface Moving {
  readonly onMove: (lead: string, to: string) => void;
  /** Told what is chosen to be moved where. */
  readonly onAim: (lead: string, to: string) => void;
}

/** Changes by hand without dragging: move a lead, add a jumper, take a wire off. */
export function HandChange({ onMove, onAim }: Moving) {
  const placeName = usePlaceName();
  const { job, add } = useJob("changes");
  const wiring = useJobWiring();
  if (wiring.kind !== "plan" && wiring.kind !== "retrofit") return null;
  const { plan } = wiring;
  const count = Object.keys(job.changes.landings).length + job.changes.added.length + job.changes.gone.length;
  return (
    <Box className="no-print" sx={{ mt: 2 }}>
      <Fold title="Change by hand" summary={count > 0 ? `${count} changed` : "as planned"}>
        <Box sx={{ display: "grid", gap: 4 }}>
          <MoveLead plan={plan} onMove={onMove} onAim={onAim} />
          <AddJumper
            plan={plan}
            onAdd={(from, to) => add({ kind: "wire-added", wire: { id: uuid(), from, to } })}
          />
          <WiresOff plan={plan} onOff={(wire) => add({ kind: "wire-off", wire, off: true })} />
          {job.changes.gone.length > 0 ? (
            <Box>
              {plan.removed
                .filter(({ id }) => job.changes.gone.includes(id))
                .map(({ id, from, to }) => (
                  <Button
                    key={id}
                    color="inherit"
                    onClick={() => add({ kind: "wire-off", wire: id, off: false })}
                  >
                    Put back: {placeName(plan.compartment, from)} to {placeName(plan.compartment, to)}
                  </Button>
                ))}
            </Box>
          ) : null}
        </Box>
      </Fold>
    </Box>
  );
}

function terminalsOf({ devices }: Compartment): string[] {
  return devices.flatMap(({ terminals }) => terminals.map(({ id }) => id));
}

function MoveLead({ plan, onMove, onAim }: Moving & { readonly plan: WiringPlan }) {
  const placeName = usePlaceName();
  const name = useWireName();
  const leads = Object.keys(plan.landings);
  const [lead, setLead] = useState(leads[0] ?? "");
  const [to, setTo] = useState(CAPPED);
  const joints = Array.from({ length: MOST_JOINTS }, (_, i) => jointPlace(i + 1));
  const here = leads.includes(lead) ? lead : (leads[0] ?? "");
  useEffect(() => onAim(here, to), [onAim, here, to]);
  return (
    <Row label="Move a lead">
      <Choice label="Lead" value={here} onChange={setLead}>
        {leads.map((id) => (
          <option key={id} value={id}>
            {name(id)}: {placeName(plan.compartment, plan.landings[id] ?? "")}
          </option>
        ))}
      </Choice>
      <Choice label="To" value={to} onChange={setTo}>
        {[...terminalsOf(plan.compartment), ...joints, CAPPED].map((place) => (
          <option key={place} value={place}>
            {placeName(plan.compartment, place)}
          </option>
        ))}
      </Choice>
      <Button sx={{ minHeight: TOUCH }} onClick={() => onMove(here, to)}>
        Move it
      </Button>
    </Row>
  );
}

function AddJumper({ plan, onAdd }: { plan: WiringPlan; onAdd: (from: string, to: string) => void }) {
  const placeName = usePlaceName();
  const terminals = terminalsOf(plan.compartment);
  const [from, setFrom] = useState(terminals[0] ?? "");
  const [to, setTo] = useState(terminals[1] ?? "");
  const list = terminals.map((place) => (
    <option key={place} value={place}>
      {placeName(plan.compartment, place)}
    </option>
  ));
  return (
    <Row label="Add a jumper">
      <Choice label="From" value={from} onChange={setFrom}>
        {list}
      </Choice>
      <Choice label="To" value={to} onChange={setTo}>
        {list}
      </Choice>
      <Button sx={{ minHeight: TOUCH }} disabled={from === to} onClick={() => onAdd(from, to)}>
        Add it
      </Button>
    </Row>
  );
}

function WiresOff({ plan, onOff }: { plan: WiringPlan; onOff: (wire: string) => void }) {
  const placeName = usePlaceName();
  const wires = [...plan.jumpers, ...plan.compartment.wires];
  const [wire, setWire] = useState("");
  if (wires.length === 0) return null;
  const chosen = wires.some(({ id }) => id === wire) ? wire : (wires[0]?.id ?? "");
  return (
    <Row label="Take a wire off">
      <Choice label="Wire" value={chosen} onChange={setWire}>
        {wires.map(({ id, from, to }) => (
          <option key={id} value={id}>
            {placeName(plan.compartment, from)} to {placeName(plan.compartment, to)}
          </option>
        ))}
      </Choice>
      <span />
      <Button sx={{ minHeight: TOUCH }} onClick={() => onOff(chosen)}>
        Take it off
      </Button>
    </Row>
  );
}

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box component="fieldset" sx={{ border: 0, m: 0, p: 0, minWidth: 0 }}>
      <Typography component="legend" variant="h3" sx={{ p: 0, mb: 1 }}>
        {label}
      </Typography>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "minmax(0,1fr) minmax(0,1fr) 140px" },
          gap: 3,
          alignItems: "end",
          maxWidth: 860,
        }}
      >
        {children}
      </Box>
    </Box>
  );
}
