"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { COMPARTMENTS, type Compartment, compartment, compartmentById } from "@/core/wiring";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { EquipmentEditor } from "./EquipmentEditor";

/** What the motor is landed on: one of the library, copied into the job, to be edited there. */
export function EquipmentChoice() {
  const { job, add } = useJob();
  const [editing, setEditing] = useState(false);
  const { compartment: made } = job;
  const ready = made ? compartmentById(made.id) : undefined;
  const edited = made && (!ready || written(ready) !== written(made));
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Choice
        label="Equipment"
        value={made?.id ?? ""}
        onChange={(id) => add({ kind: "compartment", compartment: compartmentById(id) ?? null })}
      >
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
