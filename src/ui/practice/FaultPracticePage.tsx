"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { type FormEvent, useEffect, useState } from "react";
import { v4 } from "uuid";
import { type FaultGrade, type FaultWish, WIRING_EQUIPMENT } from "@/core/practice";
import { compartmentById } from "@/core/wiring";
import { Choice } from "../parts/Choice";
import { PlainEntry } from "../parts/PlainEntry";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { FaultBench } from "./FaultBench";
import { FaultProgress } from "./FaultProgress";
import { FaultResult } from "./FaultResult";
import { type FaultWork, rememberedFault, rememberFault } from "./faultState";
import { PracticeTabs } from "./PracticeTabs";
import { rememberedPerson, rememberPerson } from "./practiceState";

/** Practice of fault finding: a powered machine with a complaint, instruments that cost minutes, one cause to name. */
export function FaultPracticePage() {
  const [client] = useState(() => new QueryClient());
  return (
    <QueryClientProvider client={client}>
      <TopBar />
      <Box
        component="main"
        id={MAIN}
        sx={{ maxWidth: 1240, mx: "auto", px: { xs: 3, md: 6 }, py: { xs: 4, md: 6 } }}
      >
        <Typography variant="h1">Practice</Typography>
        <PracticeTabs current="fault" />
        <FaultPractice />
      </Box>
    </QueryClientProvider>
  );
}

function FaultPractice() {
  // What this browser remembers is known only once it runs: until then nothing is shown that could be typed into.
  const [ready, setReady] = useState(false);
  const [person, setPerson] = useState("");
  const [work, setWork] = useState<FaultWork | null>(null);
  const [grade, setGrade] = useState<FaultGrade | null>(null);
  useEffect(() => {
    setPerson(rememberedPerson());
    setWork(rememberedFault());
    setReady(true);
  }, []);
  const keep = (next: FaultWork | null) => {
    setWork(next);
    rememberFault(next);
  };
  const begin = (who: string, wish: FaultWish) => {
    setPerson(who);
    rememberPerson(who);
    setGrade(null);
    keep({ id: v4(), seed: Number.parseInt(v4().slice(0, 8), 16), wish, actions: [] });
  };
  return (
    <>
      <Typography sx={{ mt: 3, mb: 5, color: "text.secondary", maxWidth: 640 }}>
        A machine under power, and what its owner says of it. Each measurement costs minutes; name the cause
        in as few as you can, and do nothing that would hurt you at the real one.
      </Typography>
      {!ready ? (
        <Typography role="status">Laying out the bench …</Typography>
      ) : !work ? (
        <SetUp person={person} onBegin={begin} />
      ) : grade ? (
        <FaultResult
          work={work}
          grade={grade}
          onAgain={() => begin(person, work.wish)}
          onOther={() => {
            setGrade(null);
            keep(null);
          }}
        />
      ) : (
        <FaultBench
          work={work}
          person={person}
          onWork={keep}
          onGrade={(result) => {
            setGrade(result);
            rememberFault(null);
          }}
          onGiveUp={() => keep(null)}
        />
      )}
      {ready && person !== "" && (!work || grade) ? (
        <FaultProgress person={person} upTo={grade ? (work?.id ?? "") : ""} />
      ) : null}
    </>
  );
}

/** Who looks, and on which equipment. */
function SetUp({ person, onBegin }: { person: string; onBegin: (person: string, wish: FaultWish) => void }) {
  const [who, setWho] = useState(person);
  const [equipment, setEquipment] = useState("surprise");
  const [missing, setMissing] = useState(false);
  const begin = (event: FormEvent) => {
    event.preventDefault();
    if (who.trim() === "") setMissing(true);
    else onBegin(who.trim(), { equipment });
  };
  return (
    <Box
      component="form"
      aria-label="A machine to practice on"
      onSubmit={begin}
      noValidate
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr" },
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
      <Choice label="Equipment" value={equipment} onChange={setEquipment}>
        <option value="surprise">surprise</option>
        {WIRING_EQUIPMENT.map((id) => (
          <option key={id} value={id}>
            {compartmentById(id)?.title ?? id}
          </option>
        ))}
      </Choice>
      <Button type="submit" variant="contained" sx={{ minHeight: 56, px: 8, justifySelf: "start" }}>
        Bring it in
      </Button>
    </Box>
  );
}
