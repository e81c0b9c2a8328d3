"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useMemo, useState } from "react";
import { v7 as uuid } from "uuid";
import { call } from "@/contract/call";
import { handInWiring } from "@/contract/routes/practice";
import { familyById, formatPower, leadNames } from "@/core";
import {
  CONSEQUENCES,
  type Consequence,
  handedPlan,
  type WiringGrade,
  type WiringHandedIn,
  type WiringTask,
  wiringTask,
} from "@/core/practice";
import { CAPPED, FRAME, jointPlace, type WiringPlan, wiringDrawing } from "@/core/wiring";
import { WiringDrawingView } from "../land/WiringDrawingView";
import { Choice } from "../parts/Choice";
import { LeadTag } from "../parts/LeadTag";
import { Tick } from "../parts/Tick";
import { Trouble } from "../parts/Trouble";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";
import { usePlaceName } from "../words/usePlaceName";
import type { WiringWork } from "./wiringState";

interface Props {
  readonly work: WiringWork;
  readonly person: string;
  readonly onWork: (work: WiringWork) => void;
  readonly onGrade: (grade: WiringGrade) => void;
  readonly onGiveUp: () => void;
}

const NOBODY: ReadonlySet<string> = new Set();
const MOST_JOINTS = 3;

/** The bench with a wiring on it: to be made, or to be looked through. */
export function WiringBench({ work, person, onWork, onGrade, onGiveUp }: Props) {
  const placeName = usePlaceName();
  const task = useMemo(() => wiringTask(work.seed, work.wish), [work.seed, work.wish]);
  const [state, setState] = useState<"idle" | "sending">("idle");
  const [trouble, setTrouble] = useState("");
  const names = leadNames(task.leads);
  const name = (lead: string) => (lead === FRAME ? "frame" : (names.get(lead)?.short ?? lead));
  const leadOf = (lead: string) => task.leads.find(({ id }) => id === lead) ?? { id: lead };
  const ids = task.leads.map(({ id }) => id);
  const plan = task.wrong?.plan ?? handedPlan(task, work);
  const handIn = async () => {
    if (task.wrong && (work.wrongLeads.length === 0 || work.consequence === null)) {
      setTrouble("Name the wire that is wrong and what it would do.");
      return;
    }
    setState("sending");
    setTrouble("");
    const given: WiringHandedIn = {
      id: work.id,
      person,
      seed: work.seed,
      wish: work.wish,
      landings: { ...work.landings },
      jumpers: [...work.jumpers],
      wrongLeads: [...work.wrongLeads],
      consequence: work.consequence,
    };
    const graded = await call(handInWiring, { body: given });
    if (graded.ok) onGrade(graded.value.grade);
    else {
      setState("idle");
      setTrouble("The server did not take it. What you wired is still here: hand it in again.");
    }
  };
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 5 }}>
      <Motor task={task} name={name} />
      <Box
        tabIndex={0}
        role="group"
        aria-label="Drawing, pans sideways"
        sx={{ overflowX: "auto", border: "1px solid", borderColor: "divider", bgcolor: "background.paper" }}
      >
        <WiringDrawingView
          drawing={wiringDrawing(plan, ids)}
          wrong={NOBODY}
          leadOf={leadOf}
          name={name}
          placeOf={(lead) => placeName(plan.compartment, plan.landings[lead] ?? "")}
          {...(task.wrong
            ? {}
            : {
                onMove: (lead: string, to: string) =>
                  onWork({ ...work, landings: { ...work.landings, [lead]: to } }),
              })}
        />
      </Box>
      {task.wrong ? (
        <FindIt task={task} work={work} onWork={onWork} name={name} />
      ) : (
        <WireIt plan={plan} work={work} onWork={onWork} name={name} leads={[FRAME, ...ids]} />
      )}
      {trouble ? <Trouble>{trouble}</Trouble> : null}
      <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap" }}>
        <Button
          variant="contained"
          sx={{ minHeight: 56, px: 8 }}
          disabled={state === "sending"}
          onClick={handIn}
        >
          {state === "sending" ? "Running it …" : task.wrong ? "That is it" : "Turn the power on"}
        </Button>
        <Button color="inherit" onClick={onGiveUp}>
          Give up
        </Button>
      </Box>
    </Box>
  );
}

function Motor({ task, name }: { task: WiringTask; name: (lead: string) => string }) {
  const words = useWords();
  const family = familyById(task.family);
  const speeds = Math.max(
    0,
    ...Object.values(task.roles).map(({ role, rank }) => (role === "speed" ? (rank ?? 0) : 0)),
  );
  const { plate } = task;
  return (
    <Box component="section" aria-label="The motor">
      <Typography variant="h2">
        {task.wrong ? "Find the one wrong move" : "Land this motor"}: {task.compartment.title}
      </Typography>
      <Typography sx={{ color: "text.secondary" }}>
        {words(family?.title ?? "")}; {plate.volts?.map(({ high }) => `${high} V`).join(" or ")},{" "}
        {plate.powerWatts?.map(formatPower).join()}, {plate.rpm} rpm, {plate.fullLoadAmps?.[0]} A
        {plate.runCapacitor ? `, run capacitor ${plate.runCapacitor.microfarads} µF in place` : ""}
      </Typography>
      {task.good.wanted.length > 1 ? (
        <Typography>
          Wanted:{" "}
          {task.good.wanted
            .map(
              ({ call, speed, reversed }) =>
                `${task.compartment.calls.find(({ id }) => id === call)?.name.toLowerCase()}${speeds > 1 ? ` on speed ${speed}` : ""}${reversed ? ", reversed" : ""}`,
            )
            .join("; ")}
          .
        </Typography>
      ) : null}
      <Box
        component="ul"
        sx={{
          listStyle: "none",
          m: 0,
          mt: 2,
          p: 0,
          display: "flex",
          flexWrap: "wrap",
          columnGap: 6,
          rowGap: 1,
        }}
      >
        {task.leads.map((lead) => {
          const role = task.roles[lead.id];
          return (
            <li key={lead.id}>
              <LeadTag lead={lead} name={name(lead.id)} />{" "}
              {role && family ? family.roleWords(role, speeds) : ""}
              {lead.mark ? `, ${lead.mark}` : ""}
            </li>
          );
        })}
      </Box>
    </Box>
  );
}

function WireIt({
  plan,
  work,
  onWork,
  name,
  leads,
}: {
  plan: WiringPlan;
  work: WiringWork;
  onWork: (work: WiringWork) => void;
  name: (lead: string) => string;
  leads: readonly string[];
}) {
  const placeName = usePlaceName();
  const places = [
    ...plan.compartment.devices.flatMap(({ terminals }) => terminals.map(({ id }) => id)),
    ...Array.from({ length: MOST_JOINTS }, (_, i) => jointPlace(i + 1)),
  ];
  const options = places.map((place) => (
    <option key={place} value={place}>
      {placeName(plan.compartment, place)}
    </option>
  ));
  const [from, setFrom] = useState(places[0] ?? "");
  const [to, setTo] = useState(places[1] ?? "");
  return (
    <Box
      component="section"
      aria-label="Landings"
      sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 4 }}
    >
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0,1fr) minmax(0,1fr)", md: "repeat(4, minmax(0,1fr))" },
          gap: 3,
        }}
      >
        {leads.map((lead) => (
          <Choice
            key={lead}
            label={name(lead)}
            value={work.landings[lead] ?? CAPPED}
            onChange={(place) => onWork({ ...work, landings: { ...work.landings, [lead]: place } })}
          >
            <option value={CAPPED}>capped on its own</option>
            {options}
          </Choice>
        ))}
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "minmax(0,1fr) minmax(0,1fr) auto" },
          gap: 3,
          alignItems: "end",
          maxWidth: 760,
        }}
      >
        <Choice label="A jumper from" value={from} onChange={setFrom}>
          {options}
        </Choice>
        <Choice label="to" value={to} onChange={setTo}>
          {options}
        </Choice>
        <Button
          sx={{ minHeight: TOUCH }}
          disabled={from === to}
          onClick={() => onWork({ ...work, jumpers: [...work.jumpers, { id: uuid(), from, to }] })}
        >
          Add it
        </Button>
      </Box>
      {work.jumpers.map((jumper) => (
        <Box key={jumper.id} sx={{ display: "flex", gap: 3, alignItems: "center" }}>
          <span>
            Jumper from {placeName(plan.compartment, jumper.from)} to {placeName(plan.compartment, jumper.to)}
          </span>
          <Button
            size="small"
            color="inherit"
            onClick={() => onWork({ ...work, jumpers: work.jumpers.filter(({ id }) => id !== jumper.id) })}
          >
            Take it off
          </Button>
        </Box>
      ))}
    </Box>
  );
}

function FindIt({
  task,
  work,
  onWork,
  name,
}: {
  task: WiringTask;
  work: WiringWork;
  onWork: (work: WiringWork) => void;
  name: (lead: string) => string;
}) {
  const placeName = usePlaceName();
  const leads = [FRAME, ...task.leads.map(({ id }) => id)];
  const toggle = (lead: string) =>
    onWork({
      ...work,
      wrongLeads: work.wrongLeads.includes(lead)
        ? work.wrongLeads.filter((one) => one !== lead)
        : [...work.wrongLeads, lead],
    });
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,1fr) minmax(0,1fr)" },
        gap: 6,
      }}
    >
      <Box component="fieldset" sx={{ border: 0, m: 0, p: 0 }}>
        <Typography component="legend" variant="h3" sx={{ p: 0 }}>
          Which wire is wrong?
        </Typography>
        {leads.map((lead) => (
          <Tick key={lead} checked={work.wrongLeads.includes(lead)} onTick={() => toggle(lead)}>
            <span>
              {name(lead)}, {placeName(task.compartment, task.wrong?.plan.landings[lead] ?? "")}
            </span>
          </Tick>
        ))}
      </Box>
      <Choice
        label="What would it do?"
        value={work.consequence ?? ""}
        onChange={(value) =>
          onWork({ ...work, consequence: value in CONSEQUENCES ? (value as Consequence) : null })
        }
      >
        <option value="">say what comes of it</option>
        {Object.entries(CONSEQUENCES).map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Choice>
    </Box>
  );
}
