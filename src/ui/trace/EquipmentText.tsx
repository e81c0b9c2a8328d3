"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { type Compartment, compartment } from "@/core/wiring";
import { Notice } from "../parts/Notice";
import { MONO } from "../theme/faces";

/** A compartment as JSON: to copy to another job, and for what the editor has no field for. */
export function EquipmentText({ made, onKeep }: { made: Compartment; onKeep: (made: Compartment) => void }) {
  const [text, setText] = useState("");
  const [faults, setFaults] = useState<readonly string[]>([]);
  useEffect(() => {
    setText(JSON.stringify(made, null, 1));
    setFaults([]);
  }, [made]);
  const keep = () => {
    let json: unknown;
    try {
      json = JSON.parse(text);
    } catch {
      setFaults(["This is not valid JSON; what is typed is still here."]);
      return;
    }
    const read = compartment.safeParse(json);
    if (read.success) onKeep(read.data);
    else
      setFaults(
        read.error.issues.map(({ path, message }) => `${path.join(" → ") || "the whole"}: ${message}`),
      );
  };
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Box
        component="textarea"
        aria-label="The equipment as JSON"
        value={text}
        onChange={(event) => setText(event.target.value)}
        spellCheck={false}
        rows={14}
        sx={{
          width: "100%",
          fontFamily: MONO,
          fontSize: "0.875rem",
          color: "text.primary",
          bgcolor: "background.paper",
          border: "1px solid",
          borderColor: faults.length > 0 ? "warning.main" : "divider",
          p: 2,
        }}
      />
      {faults.length > 0 ? (
        <Notice>
          <Box component="ul" sx={{ m: 0, pl: 4 }}>
            {faults.map((fault) => (
              <li key={fault}>{fault}</li>
            ))}
          </Box>
        </Notice>
      ) : null}
      <Button sx={{ justifySelf: "start" }} onClick={keep}>
        Take this over
      </Button>
    </Box>
  );
}
