"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { v4 } from "uuid";
import type { WiringGrade, WiringWish } from "@/core/practice";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { PracticeTabs } from "./PracticeTabs";
import { rememberedPerson, rememberPerson } from "./practiceState";
import { WiringBench } from "./WiringBench";
import { WiringProgress } from "./WiringProgress";
import { WiringResult } from "./WiringResult";
import { WiringSetUp } from "./WiringSetUp";
import { rememberedWiring, rememberWiring, type WiringWork } from "./wiringState";

/** Practice of the wiring: land a motor, or find the one wrong wire; the bench runs it and says what would happen. */
export function WiringPracticePage() {
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
        <PracticeTabs current="wiring" />
        <WiringPractice />
      </Box>
    </QueryClientProvider>
  );
}

function WiringPractice() {
  // What this browser remembers is known only once it runs: until then nothing is shown that could be typed into.
  const [ready, setReady] = useState(false);
  const [person, setPerson] = useState("");
  const [work, setWork] = useState<WiringWork | null>(null);
  const [grade, setGrade] = useState<WiringGrade | null>(null);
  useEffect(() => {
    setPerson(rememberedPerson());
    setWork(rememberedWiring());
    setReady(true);
  }, []);
  const keep = (next: WiringWork | null) => {
    setWork(next);
    rememberWiring(next);
  };
  const begin = (who: string, wish: WiringWish) => {
    setPerson(who);
    rememberPerson(who);
    setGrade(null);
    keep({
      id: v4(),
      seed: Number.parseInt(v4().slice(0, 8), 16),
      wish,
      landings: {},
      jumpers: [],
      wrongLeads: [],
      consequence: null,
    });
  };
  return (
    <>
      <Typography sx={{ mt: 3, mb: 5, color: "text.secondary", maxWidth: 640 }}>
        A motor whose leads are named, and equipment to land it on: wire it, or find the one wrong wire in a
        wiring and say what it would do. Nothing burns here but time.
      </Typography>
      {!ready ? (
        <Typography role="status">Laying out the bench …</Typography>
      ) : !work ? (
        <WiringSetUp person={person} onBegin={begin} />
      ) : grade ? (
        <WiringResult
          work={work}
          grade={grade}
          onAgain={() => begin(person, work.wish)}
          onOther={() => {
            setGrade(null);
            keep(null);
          }}
        />
      ) : (
        <WiringBench
          work={work}
          person={person}
          onWork={keep}
          onGrade={(result) => {
            setGrade(result);
            rememberWiring(null);
          }}
          onGiveUp={() => keep(null)}
        />
      )}
      {ready && person !== "" && (!work || grade) ? (
        <WiringProgress person={person} upTo={grade ? (work?.id ?? "") : ""} />
      ) : null}
    </>
  );
}
