"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useMemo, useState } from "react";
import { call as callRoute } from "@/contract/call";
import { handInFault } from "@/contract/routes/practice";
import { familyById, formatPower, formatPressure, leadNames } from "@/core";
import {
  COMPLAINTS,
  type FaultAction,
  type FaultGrade,
  type FaultTask,
  faultTask,
  MINUTES,
  minutesOf,
  PRACTISED_CAUSES,
} from "@/core/practice";
import type { Cause, NextCheck, ProvingObservation } from "@/core/proving";
import { wiringDrawing } from "@/core/wiring";
import { WiringDrawingView } from "../land/WiringDrawingView";
import { Choice } from "../parts/Choice";
import { CAUSE_NAMES } from "../parts/causeNames";
import { Trouble } from "../parts/Trouble";
import { askWords, HOW_WORDS, UNIT } from "../prove/checkWords";
import { MONO } from "../theme/faces";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";
import { usePlaceName } from "../words/usePlaceName";
import type { FaultWork } from "./faultState";

interface Props {
  readonly work: FaultWork;
  readonly person: string;
  readonly onWork: (work: FaultWork) => void;
  readonly onGrade: (grade: FaultGrade) => void;
  readonly onGiveUp: () => void;
}

const NOBODY: ReadonlySet<string> = new Set();

/** The powered virtual machine: its complaint, its instruments, what they showed, and the naming of the cause. */
export function FaultBench({ work, person, onWork, onGrade, onGiveUp }: Props) {
  const say = useWords();
  const placeName = usePlaceName();
  const task = useMemo(() => faultTask(work.seed, work.wish), [work.seed, work.wish]);
  const shown = useMemo(() => replayed(task, work.actions), [task, work.actions]);
  const [cause, setCause] = useState<Cause>("as-planned");
  const [state, setState] = useState<"idle" | "sending">("idle");
  const [trouble, setTrouble] = useState("");
  const names = leadNames(task.wiring.leads);
  const name = (lead: string) => names.get(lead)?.short ?? lead;
  const call = (id: string) => task.calls.find((one) => one.id === id)?.name ?? id;
  const last = work.actions.findLast((one) => "power" in one);
  const on = last !== undefined && "power" in last && last.power === "on";
  const act = (action: FaultAction) => onWork({ ...work, actions: [...work.actions, action] });
  const handIn = async () => {
    setState("sending");
    setTrouble("");
    const graded = await callRoute(handInFault, {
      body: { id: work.id, person, seed: work.seed, wish: work.wish, actions: [...work.actions], cause },
    });
    if (graded.ok) onGrade(graded.value.grade);
    else {
      setState("idle");
      setTrouble("The server did not take it. What you measured is still here: hand it in again.");
    }
  };
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 5 }}>
      <Box
        component="section"
        aria-label="Complaint"
        sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3 }}
      >
        <Typography variant="h2">{COMPLAINTS[task.complaint]}</Typography>
        <Typography sx={{ mt: 1 }}>{say(machineWords(task))}</Typography>
      </Box>
      <Box
        tabIndex={0}
        role="group"
        aria-label="Drawing as planned, pans sideways"
        sx={{ overflowX: "auto", border: "1px solid", borderColor: "divider", bgcolor: "background.paper" }}
      >
        <WiringDrawingView
          drawing={wiringDrawing(
            task.wiring.good,
            task.wiring.leads.map(({ id }) => id),
          )}
          wrong={NOBODY}
          leadOf={(lead) => task.wiring.leads.find(({ id }) => id === lead) ?? { id: lead }}
          name={name}
          placeOf={(lead) => placeName(task.wiring.compartment, task.wiring.good.landings[lead] ?? "")}
        />
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,1fr) minmax(0,1fr)" },
          gap: 8,
        }}
      >
        <Box component="section" aria-label="Measure" sx={{ display: "grid", gap: 3, alignContent: "start" }}>
          <Box sx={{ display: "flex", gap: 3, alignItems: "center" }}>
            <Button
              variant={on ? "contained" : "outlined"}
              color={on ? "primary" : "inherit"}
              aria-pressed={on}
              onClick={() => act({ power: on ? "off" : "on" })}
              sx={{ minHeight: 56, minWidth: 170, textTransform: "none" }}
            >
              {on ? "Power is on: off" : "Power is off: on"}
            </Button>
            <Box sx={{ fontFamily: MONO, fontSize: "1.25rem" }} role="status" aria-label="Minutes so far">
              {minutesOf(work.actions)} min
            </Box>
          </Box>
          <Measuring task={task} on={on} call={call} name={name} onCheck={(check) => act({ check })} />
        </Box>
        <Box component="section" aria-label="Shown so far" sx={{ minWidth: 0 }}>
          <Typography variant="h2">Shown so far</Typography>
          {shown.length === 0 ? (
            <Typography sx={{ mt: 1, color: "text.secondary" }}>
              Nothing yet. Power on, and bump it.
            </Typography>
          ) : (
            <Box component="ol" sx={{ listStyle: "none", m: 0, mt: 1, p: 0, borderTop: "1.5px solid" }}>
              {shown.map(({ key, check, seen }) => (
                <Box
                  component="li"
                  key={key}
                  sx={{
                    display: "flex",
                    gap: 3,
                    justifyContent: "space-between",
                    borderBottom: "1px solid",
                    borderColor: "divider",
                    py: 1,
                  }}
                >
                  <span>{askWords(check, { lead: name, call })}</span>
                  <Box component="strong" sx={{ fontFamily: MONO, whiteSpace: "nowrap" }}>
                    {seen ? shownWords(seen) : "—"}
                  </Box>
                </Box>
              ))}
            </Box>
          )}
          <Box sx={{ mt: 5, display: "grid", gap: 2 }}>
            <Choice label="The cause" value={cause} onChange={(value) => setCause(value as Cause)}>
              {PRACTISED_CAUSES.map((one) => (
                <option key={one} value={one}>
                  {CAUSE_NAMES[one]}
                </option>
              ))}
            </Choice>
            {trouble ? <Trouble>{trouble}</Trouble> : null}
            <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap" }}>
              <Button
                variant="contained"
                disabled={state === "sending"}
                onClick={handIn}
                sx={{ minHeight: 56 }}
              >
                That is it
              </Button>
              <Button color="inherit" onClick={onGiveUp} sx={{ minHeight: 56 }}>
                Give up
              </Button>
            </Box>
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

function machineWords({ wiring }: FaultTask): string {
  const { plate, compartment, family } = wiring;
  const power = plate.powerWatts ? `${formatPower(Math.max(...plate.powerWatts))}, ` : "";
  const amps = plate.fullLoadAmps ? `${Math.max(...plate.fullLoadAmps)} A, ` : "";
  const cap = plate.runCapacitor ? `run capacitor ${plate.runCapacitor.microfarads} µF, ` : "";
  return `${compartment.title}; ${familyById(family)?.title ?? ""}: ${power}${amps}${cap}${plate.rpm ?? ""} rpm, has to turn CW from the lead end.`;
}

interface Shown {
  readonly key: string;
  readonly check: NextCheck;
  readonly seen: ProvingObservation | null;
}

/** What the instruments showed, action by action; what needs power shows nothing without it. */
function replayed(task: FaultTask, actions: readonly FaultAction[]): Shown[] {
  const machine = task.machine();
  let on = false;
  return actions.flatMap((one, i): Shown[] => {
    if ("power" in one) {
      on = one.power === "on";
      return [];
    }
    const dead = one.check.power === "on" && !on;
    return [{ key: String(i), check: one.check, seen: dead ? null : machine.observe(one.check) }];
  });
}

function shownWords(seen: ProvingObservation): string {
  switch (seen.what) {
    case "starts":
      return HOW_WORDS[seen.how];
    case "turn":
      return `${seen.seen.toUpperCase()}, ${seen.end} end`;
    case "ohms":
      return seen.ohms === undefined ? "OL" : `${seen.ohms} Ω`;
    case "start-amps":
      return `${seen.peak} A, ${seen.seconds} s`;
    case "air":
    case "sign":
      return "";
    case "insulation":
      return `${seen.orMore ? "over " : ""}${seen.megohms} MΩ`;
    case "pressure":
      return formatPressure(seen.kilopascals);
    default: {
      const figure =
        "amps" in seen
          ? seen.amps
          : "volts" in seen
            ? seen.volts
            : "rpm" in seen
              ? seen.rpm
              : seen.microfarads;
      return `${figure} ${UNIT[seen.what] ?? ""}`;
    }
  }
}

/** Every measurement that can be made there, by kind, place and call, each with its minutes. */
function Measuring({
  task,
  on,
  call,
  name,
  onCheck,
}: {
  task: FaultTask;
  on: boolean;
  call: (id: string) => string;
  name: (lead: string) => string;
  onCheck: (check: NextCheck) => void;
}) {
  const [at, setAt] = useState(task.calls[0]?.id ?? "");
  const leads = task.wiring.leads.map(({ id }) => id);
  const [lead, setLead] = useState(leads[0] ?? "");
  const [other, setOther] = useState(leads[1] ?? "");
  const [place, setPlace] = useState(task.capacitors[0]?.at ?? "");
  const { terminals } = task.wiring.compartment.supply;
  const powered = { call: at, because: "", power: "on" } as const;
  const dead = { because: "", power: "off" } as const;
  const lines = terminals.flatMap((one, i) =>
    terminals.slice(i + 1).map((two): [string, string] => [one, two]),
  );
  const button = (check: NextCheck, words: string) => (
    <Button
      key={words}
      color="inherit"
      variant="outlined"
      onClick={() => onCheck(check)}
      sx={{ minHeight: TOUCH, textTransform: "none", justifyContent: "space-between" }}
    >
      <span>{words}</span>
      <Box component="span" sx={{ color: "text.secondary", ml: 2 }}>
        {MINUTES[check.what]} min
      </Box>
    </Button>
  );
  return (
    <>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(4, 1fr)" }, gap: 2 }}>
        <Choice label="Call" value={at} onChange={setAt}>
          {task.calls.map(({ id }) => (
            <option key={id} value={id}>
              {call(id)}
            </option>
          ))}
        </Choice>
        <Choice label="Lead" value={lead} onChange={setLead}>
          {leads.map((id) => (
            <option key={id} value={id}>
              {name(id)}
            </option>
          ))}
        </Choice>
        <Choice label="to lead" value={other} onChange={setOther}>
          {leads.map((id) => (
            <option key={id} value={id}>
              {name(id)}
            </option>
          ))}
        </Choice>
        {task.capacitors.length > 0 ? (
          <Choice label="Capacitor" value={place} onChange={setPlace}>
            {task.capacitors.map(({ at: one }) => (
              <option key={one} value={one}>
                {one.toUpperCase()}
              </option>
            ))}
          </Choice>
        ) : null}
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr" }, gap: 2 }}>
        {button({ what: "starts", ...powered }, "Bump: does it start")}
        {button({ what: "turn", ...powered }, "Which way it turns")}
        {button({ what: "line-amps", lead, ...powered }, `Amps on ${name(lead)}`)}
        {button({ what: "rpm", ...powered }, "Speed")}
        {lines.map((between) =>
          button({ what: "supply-volts", between, ...powered }, `Volts ${between.join(" to ")}`),
        )}
        {place === ""
          ? null
          : button({ what: "capacitor-amps", at: place, ...powered }, `Amps into ${place.toUpperCase()}`)}
        {place === ""
          ? null
          : button({ what: "capacitor-volts", at: place, ...powered }, `Volts across ${place.toUpperCase()}`)}
        {lead === other
          ? null
          : button({ what: "ohms", between: [lead, other], ...dead }, `Ohms ${name(lead)} to ${name(other)}`)}
        {place === ""
          ? null
          : button({ what: "capacitor-microfarads", at: place, ...dead }, `µF of ${place.toUpperCase()}`)}
      </Box>
      <Typography sx={{ color: "text.secondary", fontSize: "0.9375rem" }}>
        {on
          ? "Ohms and µF want the power off, locked and discharged."
          : "Amps, volts and speed show nothing without power."}
      </Typography>
    </>
  );
}
