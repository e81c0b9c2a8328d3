"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import Typography from "@mui/material/Typography";
import { type FormEvent, useState } from "react";
import { v7 as uuid } from "uuid";
import { leadNames, type OldLead, parseLeadEntry } from "@/core";
import { readOldLeads } from "@/core/wiring";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { LeadTag } from "../parts/LeadTag";
import { PlainEntry } from "../parts/PlainEntry";
import { Mark } from "../parts/Verdict";
import { LABEL_HEIGHT, TOUCH } from "../theme/measures";
import { usePlaceWords, useWords } from "../words/UsageProvider";

const MOST_OLD_LEADS = 16;

/** Where every old lead lands, terminal by terminal, and what that says of it. */
export function OldWiring() {
  const words = useWords();
  const { job, add } = useJob("compartment", "oldLeads");
  const { compartment: made, oldLeads } = job;
  const names = leadNames(oldLeads.map(({ lead }) => lead));
  const readings = made
    ? readOldLeads(
        made,
        oldLeads.flatMap(({ lead, terminal }) => (terminal ? [{ lead: lead.id, terminal }] : [])),
      )
    : [];
  return (
    <Box
      component="section"
      aria-label="Old wiring"
      sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3 }}
    >
      <Typography variant="h2">Old lead by old lead</Typography>
      <Typography sx={{ color: "text.secondary", mb: 2 }}>
        Before anything is loosened. The power is off, locked and proved dead.
      </Typography>
      <AddOldLead />
      {oldLeads.length === 0 ? (
        <Typography sx={{ mt: 2 }}>No old lead is written down yet. It can be left out.</Typography>
      ) : (
        <Box
          component="ul"
          sx={{ listStyle: "none", m: 0, mt: 2, p: 0, borderTop: "1px solid", borderColor: "divider" }}
        >
          {oldLeads.map((old) => {
            const reading = readings.find(({ lead }) => lead === old.lead.id);
            const name = names.get(old.lead.id)?.short ?? "?";
            return (
              <Box
                component="li"
                key={old.lead.id}
                sx={{
                  display: "grid",
                  gridTemplateColumns: "minmax(90px,auto) minmax(0,1fr) auto",
                  columnGap: 3,
                  alignItems: "center",
                  borderBottom: "1px solid",
                  borderColor: "divider",
                  py: 1,
                }}
              >
                <LeadTag lead={old.lead} name={name} />
                <TerminalChoice old={old} name={name} />
                <IconButton
                  size="small"
                  sx={{ width: 44, height: 44, color: "text.secondary" }}
                  aria-label={`Take ${name} off the old wiring`}
                  onClick={() => add({ kind: "old-lead-gone", lead: old.lead.id })}
                >
                  ×
                </IconButton>
                {reading ? (
                  <Box sx={{ gridColumn: "1 / -1", display: "flex", gap: 2, pt: 0.5 }}>
                    <Mark weight={reading.sure ? "good" : "again"} />
                    <span>
                      <strong>{reading.was}</strong>
                      {reading.sure ? "" : ", likely"} — {words(reading.because)}
                    </span>
                  </Box>
                ) : null}
              </Box>
            );
          })}
        </Box>
      )}
    </Box>
  );
}

function TerminalChoice({ old, name }: { old: OldLead; name: string }) {
  const nameOf = usePlaceWords();
  const { job, add } = useJob("compartment");
  const { compartment: made } = job;
  return (
    <Choice
      label={`${name} was on`}
      value={old.terminal ?? ""}
      onChange={(terminal) =>
        add({ kind: "old-lead", old: { lead: old.lead, terminal: terminal === "" ? null : terminal } })
      }
    >
      <option value="">not written down</option>
      {made?.devices.map((device) => (
        <optgroup key={device.id} label={nameOf(device.name)}>
          {device.terminals.map((terminal) => (
            <option key={terminal.id} value={terminal.id}>
              {nameOf(terminal.name)}
            </option>
          ))}
        </optgroup>
      ))}
    </Choice>
  );
}

function AddOldLead() {
  const say = useWords();
  const { job, add } = useJob("oldLeads");
  const [text, setText] = useState("");
  const [fault, setFault] = useState<string>();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const words = text.split(/[\s,;]+/).filter(Boolean);
    const bad = words.filter((word) => !parseLeadEntry(word));
    if (words.length === 0) return;
    if (bad.length > 0) {
      setFault(
        `${bad.map((word) => `“${word}”`).join(", ")} ${say("is no color we know")}. Write BK, BN or WH/BK.`,
      );
      return;
    }
    if (job.oldLeads.length + words.length > MOST_OLD_LEADS) {
      setFault(`At most ${MOST_OLD_LEADS} old leads are kept.`);
      return;
    }
    for (const word of words)
      add({ kind: "old-lead", old: { lead: { id: uuid(), ...parseLeadEntry(word) }, terminal: null } });
    setText("");
    setFault(undefined);
  };
  return (
    <Box
      component="form"
      onSubmit={submit}
      noValidate
      sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr) auto", gap: 2, alignItems: "start" }}
    >
      <PlainEntry
        label={say("Old leads, by color")}
        value={text}
        onChange={setText}
        placeholder="BK YE BN"
        fault={fault}
      />
      <Button type="submit" variant="contained" sx={{ minHeight: TOUCH, mt: LABEL_HEIGHT }}>
        Add
      </Button>
    </Box>
  );
}
