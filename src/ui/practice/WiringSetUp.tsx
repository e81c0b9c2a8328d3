"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { type FormEvent, useState } from "react";
import { WIRING_EQUIPMENT, type WiringWish } from "@/core/practice";
import { compartmentById } from "@/core/wiring";
import { Choice } from "../parts/Choice";
import { PlainEntry } from "../parts/PlainEntry";

interface Props {
  readonly person: string;
  readonly onBegin: (person: string, wish: WiringWish) => void;
}

/** Who wires, what, and on which equipment. */
export function WiringSetUp({ person, onBegin }: Props) {
  const [who, setWho] = useState(person);
  const [task, setTask] = useState<WiringWish["task"]>("wire-it");
  const [equipment, setEquipment] = useState("surprise");
  const [missing, setMissing] = useState(false);
  const begin = (event: FormEvent) => {
    event.preventDefault();
    if (who.trim() === "") setMissing(true);
    else onBegin(who.trim(), { task, equipment });
  };
  return (
    <Box
      component="form"
      aria-label="A wiring to practice on"
      onSubmit={begin}
      noValidate
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr", md: "repeat(3, 1fr)" },
        gap: 4,
        alignItems: "start",
        borderTop: "3px solid",
        borderColor: "primary.main",
        pt: 4,
      }}
    >
      <PlainEntry
        label="Your name, to keep results by"
        value={who}
        maxLength={40}
        onChange={(value) => {
          setWho(value);
          setMissing(false);
        }}
        fault={missing ? "A name is needed to keep the result by." : undefined}
      />
      <Choice
        label="What to do"
        value={task}
        onChange={(value) => setTask(value === "find-it" ? "find-it" : "wire-it")}
      >
        <option value="wire-it">wire this motor</option>
        <option value="find-it">find what is wrong</option>
      </Choice>
      <Choice label="Equipment" value={equipment} onChange={setEquipment}>
        <option value="surprise">surprise</option>
        {WIRING_EQUIPMENT.map((id) => (
          <option key={id} value={id}>
            {compartmentById(id)?.title ?? id}
          </option>
        ))}
      </Choice>
      <Button type="submit" variant="contained" sx={{ minHeight: 56, px: 8, justifySelf: "start" }}>
        Lay it out
      </Button>
    </Box>
  );
}
