"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { useState } from "react";
import { COMPARTMENTS, type Compartment, compartment, compartmentById } from "@/core/wiring";
import { useJob, useLatestJob } from "../job/JobContext";
import { rememberedSchool } from "../land/rememberedSchool";
import { brought } from "../parts/brought";
import { Choice } from "../parts/Choice";
import { Coming } from "../parts/Coming";
import { Trouble } from "../parts/Trouble";
import { useOwnEquipment } from "./useOwnEquipment";

const EquipmentEditor = dynamic(
  () => brought(import("./EquipmentEditor").then((made) => made.EquipmentEditor)),
  {
    loading: Coming,
  },
);

/** What the motor is landed on: ready-made or the shop's own, copied into the job, to be edited there. */
export function EquipmentChoice() {
  const { job, add } = useJob("compartment", "wish", "capacitor");
  const latest = useLatestJob();
  const own = useOwnEquipment();
  const [editing, setEditing] = useState(false);
  const { compartment: made } = job;
  const known = (id: string) => compartmentById(id) ?? own.list.find((one) => one.id === id);
  const ready = made ? known(made.id) : undefined;
  const edited = made !== null && (!ready || written(ready) !== written(made));
  const take = (chosen: Compartment | null) => add({ kind: "compartment", compartment: chosen });
  const choose = (id: string) => {
    take(known(id) ?? null);
    const school = rememberedSchool();
    if (school && !job.wish.plan && !job.capacitor.school)
      add({ kind: "wiring-wish", wish: { ...latest().wish, plan: school } });
  };
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Choice label="Equipment" value={made?.id ?? ""} onChange={choose}>
        <option value="">not chosen yet</option>
        {made && !ready ? <option value={made.id}>{made.title}</option> : null}
        {own.list.length > 0 ? (
          <optgroup label="The shop’s own">
            <Options list={own.list} />
          </optgroup>
        ) : null}
        <optgroup label="Ready-made">
          <Options list={COMPARTMENTS} />
        </optgroup>
      </Choice>
      {own.away ? (
        <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
          The shop’s own equipment cannot be had from the server just now.
        </Typography>
      ) : null}
      {made ? (
        <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
          <span>
            {made.supply.volts} V, {made.supply.hertz} Hz
            {edited ? ", edited here" : ""}
          </span>
          <Button size="small" color="inherit" aria-expanded={editing} onClick={() => setEditing(!editing)}>
            {editing ? "Close the editor" : "Edit this equipment"}
          </Button>
        </Box>
      ) : null}
      {made ? <KeepIt made={made} edited={edited} own={own} /> : null}
      {made && editing ? <EquipmentEditor made={made} onKeep={take} /> : null}
    </Box>
  );
}

interface KeepProps {
  readonly made: Compartment;
  readonly edited: boolean;
  readonly own: ReturnType<typeof useOwnEquipment>;
}

/** Keeps what was edited for other jobs, or takes it out of the shop's library again; the job's copy stays either way. */
function KeepIt({ made, edited, own }: KeepProps) {
  const [said, setSaid] = useState("");
  // The job's copy keeps its id when it is kept: ticks and changes by hand hang on that.
  const same = own.list.find((one) => written({ ...one, id: made.id }) === written(made));
  const kept = own.list.find(({ id }) => id === made.id) ?? same;
  const keep = async () => setSaid((await own.keep(made)) ? "Kept for other jobs." : "");
  const forget = async () => {
    const gone = kept !== undefined && (await own.forget(kept));
    setSaid(gone ? "Taken out of the shop’s own. This job keeps its copy." : "");
  };
  if (!edited && !kept && !said) return null;
  return (
    <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
      {edited && !same ? (
        <Button size="small" onClick={keep}>
          {kept ? "Keep the change for other jobs" : "Keep it for other jobs"}
        </Button>
      ) : null}
      {kept ? (
        <Button size="small" color="inherit" onClick={forget}>
          Take it out of the shop’s own
        </Button>
      ) : null}
      <span role="status">{said}</span>
      {own.trouble ? <Trouble sx={{ flexBasis: "100%" }}>{own.trouble}</Trouble> : null}
    </Box>
  );
}

function Options({ list }: { list: readonly Compartment[] }) {
  return (
    <>
      {list.map(({ id, title }) => (
        <option key={id} value={id}>
          {title}
        </option>
      ))}
    </>
  );
}

/** In the order of the form: a database keeps the parts of an object in an order of its own. */
function written(made: Compartment): string {
  const read = compartment.safeParse(made);
  return JSON.stringify(read.success ? read.data : made);
}
