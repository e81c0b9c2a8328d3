"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { call } from "@/contract/call";
import { handInMotor } from "@/contract/routes/practice";
import { leadNames } from "@/core";
import {
  type Grade,
  type HandedIn,
  handedIn,
  PRACTICE_FAMILIES,
  PRACTICE_FAULTS,
  type PracticeTask,
  roleChoices,
} from "@/core/practice";
import { Choice } from "../parts/Choice";
import { LeadTag } from "../parts/LeadTag";
import { PlainChoice } from "../parts/PlainChoice";
import { Trouble } from "../parts/Trouble";
import { useWords } from "../words/UsageProvider";
import type { PracticeWork } from "./practiceState";
import { FAULT_WORDS } from "./words";

interface Props {
  readonly work: PracticeWork;
  readonly task: PracticeTask;
  readonly person: string;
  readonly onWork: (work: PracticeWork) => void;
  readonly onGrade: (grade: Grade) => void;
  readonly onGiveUp: () => void;
}

type Naming = HandedIn["naming"];

/** What the learner makes of it: the kind of motor, each lead's part, what is wrong with it. */
export function NamingSheet({ work, task, person, onWork, onGrade, onGiveUp }: Props) {
  const say = useWords();
  const { naming } = work;
  const { leads } = task.motor;
  const names = leadNames(leads);
  const choices = roleChoices(naming.family, leads.length);
  const [says, setSays] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const set = (change: Partial<Naming>) => {
    setSays(null);
    onWork({ ...work, naming: { ...naming, ...change } });
  };
  const families = PRACTICE_FAMILIES.filter(({ id }) => roleChoices(id, leads.length).length > 0);
  const keyOf = (lead: string) =>
    choices.find(
      ({ role }) =>
        role.role === naming.roles[lead]?.role &&
        role.rank === naming.roles[lead]?.rank &&
        role.group === naming.roles[lead]?.group,
    )?.key ?? "";
  const unnamed = leads.filter(({ id }) => !naming.roles[id]);

  const handIn = async () => {
    const body: HandedIn = { ...work, person, wish: handedIn.shape.wish.parse(work.wish) };
    setSending(true);
    const graded = await call(handInMotor, { body });
    setSending(false);
    if (!graded.ok) {
      setSays("The server does not answer. Your notes and naming are kept here; hand in again in a moment.");
      return;
    }
    onGrade(graded.value.grade);
  };

  const submit = () => {
    const faulty = naming.fault !== "none";
    if (!faulty && naming.family === "") return setSays("Say first what kind of motor it is.");
    if (!faulty && unnamed.length > 0)
      return setSays(
        `Still without a name: ${unnamed.map(({ id }) => names.get(id)?.short ?? id).join(", ")}.`,
      );
    void handIn();
  };

  return (
    <Box
      component="section"
      aria-label="Naming"
      sx={{ borderTop: "3px solid", borderColor: "divider", pt: 3 }}
    >
      <Typography variant="h2">What you make of it</Typography>
      {task.plate.length > 0 ? (
        <Typography sx={{ mt: 1 }}>
          The plate gives: {task.plate.map(({ winding, ohms }) => `${winding} ${ohms} Ω`).join(", ")}; ±5 %.
        </Typography>
      ) : null}
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr" }, gap: 3, mt: 3 }}>
        <Choice
          label="Kind of motor"
          value={naming.family}
          onChange={(value) => set({ family: families.find(({ id }) => id === value)?.id ?? "", roles: {} })}
        >
          <option value="">not said yet</option>
          {families.map(({ id, title }) => (
            <option key={id} value={id}>
              {say(title)}
            </option>
          ))}
        </Choice>
        <Choice
          label="What is wrong with it"
          value={naming.fault}
          onChange={(value) => set({ fault: PRACTICE_FAULTS.find((f) => f === value) ?? "none" })}
        >
          {PRACTICE_FAULTS.map((fault) => (
            <option key={fault} value={fault}>
              {FAULT_WORDS[fault]}
            </option>
          ))}
        </Choice>
      </Box>
      {naming.family === "" ? null : (
        <Box sx={{ mt: 4, display: "grid", gap: 2 }}>
          {leads.map((lead) => {
            const name = names.get(lead.id)?.short ?? lead.id;
            return (
              <Box
                key={lead.id}
                sx={{
                  display: "grid",
                  gridTemplateColumns: "96px minmax(0,1fr)",
                  gap: 3,
                  alignItems: "center",
                }}
              >
                <LeadTag lead={lead} name={name} />
                <PlainChoice
                  name={say(`Part of ${names.get(lead.id)?.long ?? name}`)}
                  value={keyOf(lead.id)}
                  onChange={(chosen) => {
                    const choice = choices.find(({ key }) => key === chosen);
                    const { [lead.id]: _, ...rest } = naming.roles;
                    set({ roles: choice ? { ...rest, [lead.id]: choice.role } : rest });
                  }}
                >
                  <option value="">not named</option>
                  {choices.map(({ key, words }) => (
                    <option key={key} value={key}>
                      {words}
                    </option>
                  ))}
                </PlainChoice>
              </Box>
            );
          })}
        </Box>
      )}
      {says ? <Trouble sx={{ mt: 3 }}>{says}</Trouble> : null}
      <Box sx={{ display: "flex", gap: 3, mt: 4, flexWrap: "wrap" }}>
        <Button variant="contained" disabled={sending} onClick={submit} sx={{ minHeight: 56, px: 8 }}>
          {sending ? "Handing in …" : "Hand it in"}
        </Button>
        <Button color="inherit" onClick={onGiveUp} sx={{ minHeight: 56 }}>
          Leave this motor
        </Button>
      </Box>
    </Box>
  );
}
