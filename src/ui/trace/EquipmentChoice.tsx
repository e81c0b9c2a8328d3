"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { COMPARTMENTS, type Compartment, compartment, compartmentById } from "@/core/wiring";
import { useJob } from "../job/JobContext";
import { rememberedSchool } from "../land/rememberedSchool";
import { Choice } from "../parts/Choice";
import { EquipmentEditor } from "./EquipmentEditor";

/** What the motor is landed on: one of the library, copied into the job, to be edited there. */
export function EquipmentChoice() {
  const { job, add } = useJob();
  const [editing, setEditing] = useState(false);
  const { compartment: made } = job;
  const ready = made ? compartmentById(made.id) : undefined;
  const edited = made && (!ready || written(ready) !== written(made));
  const choose = (id: string) => {
    add({ kind: "compartment", compartment: compartmentById(id) ?? null });
    const school = rememberedSchool();
    if (school && !job.wish.plan && !job.capacitor.school)
      add({ kind: "wiring-wish", wish: { ...job.wish, plan: school } });
  };
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Choice label="Equipment" value={made?.id ?? ""} onChange={choose}>
        <option value="">not chosen yet</option>
        {made && !ready ? <option value={made.id}>{made.title}</option> : null}
        {COMPARTMENTS.map(({ id, title }) => (
          <option key={id} value={id}>
            {title}
          </option>
        ))}
      </Choice>
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
      {made && editing ? (
        <EquipmentEditor
          made={made}
          onKeep={(compartment) => {
            add({ kind: "compartment", compartment });
          }}
        />
      ) : null}
    </Box>
  );
}

/** In the order of the form: a database keeps the parts of an object in an order of its own. */
function written(made: Compartment): string {
  const read = compartment.safeParse(made);
  return JSON.stringify(read.success ? read.data : made);
}
