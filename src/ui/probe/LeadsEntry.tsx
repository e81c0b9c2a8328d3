"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { type FormEvent, useState } from "react";
import { v7 as uuid } from "uuid";
import {
  COLOUR_LETTERS,
  COLOUR_WORD,
  type ColourLetters,
  couldBe,
  type Insulation,
  LEAD_LIMITS,
  type LeadEntry,
  parseLeadEntry,
} from "@/core";
import { useIsBegun, useJob, useLeadNames } from "../job/JobContext";
import { brought } from "../parts/brought";
import { CLEARS } from "../parts/earlyTouches";
import { FieldFault } from "../parts/FieldFault";
import { LeadTag, WirePiece } from "../parts/LeadTag";
import { MONO } from "../theme/faces";
import { MAIN_FIELD } from "../theme/fields";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";

/** Brought where leads are entered, so that who only reads does not fetch it. */
const PhotoLeads = dynamic(() => brought(import("./PhotoLeads").then((made) => made.PhotoLeads)), {
  loading: () => <Box sx={{ mt: 3, minHeight: TOUCH }} />,
});

/** The leads by colour and stripe: typed in a row, or picked by letters. */
export function LeadsEntry() {
  const say = useWords();
  const { job, add } = useJob("leads");
  const { short } = useLeadNames();
  const begun = useIsBegun();
  const [open, setOpen] = useState<boolean | null>(null);
  const shown = open ?? !begun;
  const [text, setText] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const room = LEAD_LIMITS.most - job.leads.length;

  const addLeads = (list: readonly LeadEntry[]): boolean => {
    if (list.length > room) {
      setFault(`At most ${LEAD_LIMITS.most} leads can be told apart; there is room for ${room} more.`);
      return false;
    }
    for (const insulation of list) add({ kind: "lead", lead: { id: uuid(), ...insulation } });
    setFault(null);
    return true;
  };

  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter(text);
  };

  const enter = (row: string) => {
    const words = row.split(/[\s,;]+/).filter(Boolean);
    const read = words.map((word) => ({ word, insulation: parseLeadEntry(word) }));
    const bad = read.filter((r) => !r.insulation).map((r) => `“${r.word}”`);
    const [unsure] = words.filter((word) => parts(word).some((part) => couldBe(part).length > 0));
    if (unsure !== undefined) {
      setText(row);
      setFault(askWhich(unsure));
      return;
    }
    if (bad.length > 0) {
      setText(row);
      setFault(
        `${bad.join(", ")} ${say("is no color we know")}. Write letters such as WH, BK, or WH/BK for a stripe; numbers as T1, or BK:T5.`,
      );
      return;
    }
    if (words.length > 0 && addLeads(read.flatMap((r) => (r.insulation ? [r.insulation] : [])))) setText("");
  };

  if (!shown) {
    return (
      <Box sx={{ display: "flex", alignItems: "center", gap: 3 }}>
        <Typography sx={{ color: "text.secondary" }}>{job.leads.length} leads</Typography>
        <Button size="small" color="inherit" onClick={() => setOpen(true)}>
          Change leads
        </Button>
      </Box>
    );
  }
  return (
    <Box component="section" aria-label="Leads">
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 3, mb: 2 }}>
        <Typography variant="h2">Leads</Typography>
        <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
          the green or bare frame lead left out
        </Typography>
        {begun ? (
          <Button size="small" color="inherit" onClick={() => setOpen(false)} sx={{ ml: "auto" }}>
            Done
          </Button>
        ) : null}
      </Box>
      <Box
        component="ul"
        sx={{
          listStyle: "none",
          m: 0,
          p: 0,
          display: "flex",
          flexWrap: "wrap",
          gap: 2,
          mb: job.leads.length > 0 ? 3 : 0,
        }}
      >
        {job.leads.map((lead) => (
          <Box
            component="li"
            key={lead.id}
            sx={{ display: "flex", alignItems: "center", border: "1px solid", borderColor: "divider", pl: 2 }}
          >
            <LeadTag lead={lead} name={short(lead.id)} />
            <IconButton
              size="small"
              sx={{ width: 40, height: 40, color: "text.secondary" }}
              aria-label={`Take ${short(lead.id)} off the sheet`}
              onClick={() => add({ kind: "lead-gone", lead: lead.id })}
            >
              ×
            </IconButton>
          </Box>
        ))}
      </Box>
      <Box component="form" onSubmit={submit} sx={{ display: "flex", gap: 2 }} {...CLEARS}>
        <InputBase
          value={text}
          onChange={(event) => setText(event.target.value)}
          placeholder="WH BK RD BN BN/WH"
          autoFocus={job.leads.length === 0}
          inputProps={{
            "aria-label": say("Lead colors, in a row"),
            autoCapitalize: "characters",
            autoComplete: "off",
            spellCheck: false,
            maxLength: 200,
            "aria-describedby": "leads-fault",
          }}
          error={fault !== null}
          sx={{ ...MAIN_FIELD, px: 3, minHeight: TOUCH, fontFamily: MONO, fontSize: "1.125rem" }}
        />
        <Button type="submit" variant="contained" sx={{ minHeight: TOUCH, px: 5 }}>
          Add
        </Button>
      </Box>
      <FieldFault id="leads-fault">{fault}</FieldFault>
      <ColourPicker onPick={(insulation) => addLeads([insulation])} />
      <PhotoLeads onPick={(insulation) => addLeads([insulation])} />
    </Box>
  );
}

/** Colours by their letters; with “stripe” on, a second touch picks the stripe. */
function ColourPicker({ onPick }: { onPick: (insulation: Insulation) => void }) {
  const say = useWords();
  const [striped, setStriped] = useState(false);
  const [base, setBase] = useState<ColourLetters | null>(null);
  const touch = (letters: ColourLetters) => {
    if (!striped) onPick({ colour: COLOUR_WORD[letters] });
    else if (base === null) setBase(letters);
    else {
      onPick({ colour: COLOUR_WORD[base], stripe: COLOUR_WORD[letters] });
      setBase(null);
      setStriped(false);
    }
  };
  return (
    <Box sx={{ mt: 3 }}>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "repeat(4, 1fr)", sm: "repeat(6, 1fr)" },
          gap: 1.5,
        }}
      >
        {COLOUR_LETTERS.map((letters) => (
          <Button
            key={letters}
            color="inherit"
            onClick={() => touch(letters)}
            aria-label={
              base ? `${COLOUR_WORD[base]} with ${COLOUR_WORD[letters]} stripe` : COLOUR_WORD[letters]
            }
            sx={{
              minHeight: TOUCH,
              minWidth: 0,
              gap: 1.5,
              fontFamily: MONO,
              borderColor: "divider",
              borderWidth: base === letters ? 3 : 1,
            }}
          >
            <WirePiece lead={{ id: letters, colour: letters }} width={20} height={10} />
            {letters}
          </Button>
        ))}
      </Box>
      <Button
        size="small"
        color="inherit"
        aria-pressed={striped}
        onClick={() => {
          setStriped(!striped);
          setBase(null);
        }}
        sx={{ mt: 1.5, minHeight: 44 }}
      >
        {striped
          ? base
            ? `${base} with stripe … ${say("touch the stripe’s color")}`
            : say("Striped: touch the base color")
          : "With a stripe"}
      </Button>
    </Box>
  );
}

/** The colours that a typed lead names: its insulation and its stripe, its number left out. */
function parts(word: string): string[] {
  return (word.split(/[:=]/)[0] ?? "").split("/");
}

/** A short form that hands write for more than one colour is asked back. */
function askWhich(word: string): string {
  const part = parts(word).find((one) => couldBe(one).length > 0) ?? word;
  const choices = couldBe(part).map((letters) => `${COLOUR_WORD[letters]} (${letters})`);
  return `“${part}”: ${choices.slice(0, -1).join(", ")} or ${choices.at(-1)}? Write the two letters.`;
}
