"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { type FormEvent, useState } from "react";
import { DIFFICULTIES, PRACTICE_FAMILIES, PRACTICE_FAULTS, type PracticeWish } from "@/core/practice";
import { Choice } from "../parts/Choice";
import { PlainEntry } from "../parts/PlainEntry";
import { FAULT_WORDS } from "./words";

const DIFFICULTY_WORDS = {
  easy: "up to 4 leads",
  usual: "4 to 6 leads",
  hard: "6 leads and more",
} as const;

interface Props {
  readonly person: string;
  readonly onBegin: (person: string, wish: PracticeWish) => void;
}

/** Who practises, and on what. */
export function PracticeSetUp({ person, onBegin }: Props) {
  const [who, setWho] = useState(person);
  const [family, setFamily] = useState("surprise");
  const [difficulty, setDifficulty] = useState<PracticeWish["difficulty"]>("easy");
  const [fault, setFault] = useState<PracticeWish["fault"]>("none");
  const [missing, setMissing] = useState(false);
  const begin = (event: FormEvent) => {
    event.preventDefault();
    if (who.trim() === "") {
      setMissing(true);
      return;
    }
    onBegin(who.trim(), { family, difficulty, fault });
  };
  return (
    <Box
      component="form"
      aria-label="A motor to practice on"
      onSubmit={begin}
      noValidate
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr", md: "repeat(4, 1fr)" },
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
        onChange={(value) => {
          setWho(value);
          setMissing(false);
        }}
        fault={missing ? "A name is needed to keep the result by." : undefined}
      />
      <Choice label="Kind of motor" value={family} onChange={setFamily}>
        <option value="surprise">surprise</option>
        {PRACTICE_FAMILIES.map(({ id, title }) => (
          <option key={id} value={id}>
            {title}
          </option>
        ))}
      </Choice>
      <Choice
        label="How many leads"
        value={difficulty}
        onChange={(value) => setDifficulty(DIFFICULTIES.find((d) => d === value) ?? "easy")}
      >
        {DIFFICULTIES.map((d) => (
          <option key={d} value={d}>
            {DIFFICULTY_WORDS[d]}
          </option>
        ))}
      </Choice>
      <Choice
        label="What is wrong with it"
        value={fault}
        onChange={(value) => setFault(PRACTICE_FAULTS.find((f) => f === value) ?? "surprise")}
      >
        <option value="surprise">surprise</option>
        {PRACTICE_FAULTS.map((f) => (
          <option key={f} value={f}>
            {FAULT_WORDS[f]}
          </option>
        ))}
      </Choice>
      <Button
        type="submit"
        variant="contained"
        sx={{ minHeight: 56, px: 8, gridColumn: { sm: "span 2", md: "auto" } }}
      >
        Put it on the bench
      </Button>
    </Box>
  );
}
