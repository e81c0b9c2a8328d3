"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { type Conditions, cableOhmsEachWayOf, parseCable, parseTemperature } from "@/core";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { KeptEntry } from "../parts/KeptEntry";
import { useWords } from "../words/UsageProvider";

/** Temperature and conductor of the winding, gauge and length of the cable. */
export function ConditionsFields() {
  const words = useWords();
  const { job, add } = useJob("conditions");
  const { conditions } = job;
  const { windingC, cable } = conditions;
  const set = (next: Conditions) => add({ kind: "conditions", conditions: next });
  const eachWay = cableOhmsEachWayOf(job);
  return (
    <>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr" }, gap: 3 }}>
        <KeptEntry
          label="Winding temperature"
          value={windingC === undefined ? "" : `${windingC} C`}
          placeholder="25, or 77 F"
          onKeep={(text) => {
            if (text.trim() === "") {
              const { windingC: _, ...rest } = conditions;
              set(rest);
              return null;
            }
            const parsed = parseTemperature(text);
            if (!parsed.ok) return parsed.faults[0]?.says ?? "That is no temperature.";
            set({ ...conditions, windingC: parsed.celsius });
            return null;
          }}
        />
        <Choice
          label="Wound of"
          value={conditions.conductor}
          onChange={(value) =>
            set({ ...conditions, conductor: value === "aluminium" ? "aluminium" : "copper" })
          }
        >
          <option value="copper">copper</option>
          <option value="aluminium">{words("aluminum")}</option>
        </Choice>
        <CableEntry key={JSON.stringify(cable ?? null)} conditions={conditions} onSet={set} />
      </Box>
      <Typography sx={{ mt: 2, fontSize: "0.875rem", color: "text.secondary" }}>
        {cable
          ? `The cable adds ${eachWay.toFixed(3)} Ω each way: ${(2 * eachWay).toFixed(2)} Ω are taken off every reading.`
          : "A motor that has run an hour ago is not at room temperature: 40 °C are 15 % in the ohms of copper."}
      </Typography>
    </>
  );
}

/** Conductor and length of the cable: kept once both are told, taken away when both are cleared. */
function CableEntry({ conditions, onSet }: { conditions: Conditions; onSet: (next: Conditions) => void }) {
  const { cable } = conditions;
  const known = !cable
    ? { size: "", length: "" }
    : "gauge" in cable
      ? { size: `${cable.gauge} AWG`, length: `${round(cable.lengthFeet)} ft` }
      : { size: `${cable.areaMm2} mm2`, length: `${round(cable.lengthMetres)} m` };
  const [size, setSize] = useState(known.size);
  const [length, setLength] = useState(known.length);
  const keep = (nextSize: string, nextLength: string, changed: "size" | "length") => {
    if (nextSize.trim() === "" && nextLength.trim() === "") {
      const { cable: _, ...rest } = conditions;
      if (cable) onSet(rest);
      return null;
    }
    if (nextSize.trim() === "" || nextLength.trim() === "") return null;
    const parsed = parseCable(nextSize, nextLength);
    if (parsed.ok) {
      onSet({ ...conditions, cable: parsed.run });
      return null;
    }
    const fault = parsed.faults[0];
    // A fault of the other field is said there when it is touched; here it would puzzle.
    return fault && (fault.path[0] === changed || fault.path.length === 0) ? fault.says : null;
  };
  return (
    <>
      <KeptEntry
        label="Cable: conductor"
        value={size}
        placeholder="12 AWG, or 2.5 mm2"
        onKeep={(text) => {
          setSize(text);
          return keep(text, length, "size") ?? unknownSize(text);
        }}
      />
      <KeptEntry
        label="Cable: one length of it"
        value={length}
        placeholder="200 ft, or 60 m"
        onKeep={(text) => {
          setLength(text);
          return keep(size, text, "length");
        }}
      />
    </>
  );
}

/** What is wrong with a conductor while no length is told yet. */
function unknownSize(size: string): string | null {
  if (size.trim() === "") return null;
  const parsed = parseCable(size, "1");
  return parsed.ok ? null : (parsed.faults[0]?.says ?? null);
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}
