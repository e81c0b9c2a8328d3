"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { v7 as uuid, v4 } from "uuid";
import type { Grade, PracticeWish } from "@/core/practice";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { GradeView } from "./GradeView";
import { PracticeBench } from "./PracticeBench";
import { PracticeSetUp } from "./PracticeSetUp";
import { PracticeTabs } from "./PracticeTabs";
import { Progress } from "./Progress";
import {
  type PracticeWork,
  rememberedPerson,
  rememberedWork,
  rememberPerson,
  rememberWork,
} from "./practiceState";

/** Practice: a motor nobody has named yet, two probes, a meter; then the bench says what was right. */
export function PracticePage() {
  const [client] = useState(() => new QueryClient());
  return (
    <QueryClientProvider client={client}>
      <TopBar />
      <Box
        component="main"
        id={MAIN}
        sx={{ maxWidth: 1240, mx: "auto", px: { xs: 3, md: 6 }, py: { xs: 4, md: 6 } }}
      >
        <Practice />
      </Box>
    </QueryClientProvider>
  );
}

function Practice() {
  // What this browser remembers is known only once it runs: until then nothing is shown that could be typed into.
  const [ready, setReady] = useState(false);
  const [person, setPerson] = useState("");
  const [work, setWork] = useState<PracticeWork | null>(null);
  const [grade, setGrade] = useState<Grade | null>(null);

  useEffect(() => {
    setPerson(rememberedPerson());
    setWork(rememberedWork());
    setReady(true);
  }, []);

  const keep = (next: PracticeWork | null) => {
    setWork(next);
    rememberWork(next);
  };
  const begin = (who: string, wish: PracticeWish) => {
    setPerson(who);
    rememberPerson(who);
    setGrade(null);
    keep(newWork(wish));
  };
  const graded = (result: Grade) => {
    setGrade(result);
    rememberWork(null);
  };

  return (
    <>
      <Typography variant="h1">Practice</Typography>
      <PracticeTabs current="naming" />
      <Typography sx={{ mt: 3, mb: 6, color: "text.secondary", maxWidth: 640 }}>
        A motor with its leads in no order, and a meter. Name the leads with as few readings as you can; the
        bench says what was right and where the reasoning went astray.
      </Typography>
      {!ready ? (
        <Typography role="status">Laying out the bench …</Typography>
      ) : !work ? (
        <PracticeSetUp person={person} onBegin={begin} />
      ) : grade ? (
        <GradeView
          work={work}
          grade={grade}
          onAgain={() => begin(person, work.wish)}
          onOther={() => {
            setGrade(null);
            keep(null);
          }}
        />
      ) : (
        <PracticeBench
          work={work}
          person={person}
          onWork={keep}
          onGrade={graded}
          onGiveUp={() => keep(null)}
        />
      )}
      {ready && person !== "" && (!work || grade) ? (
        <Progress person={person} upTo={grade ? (work?.id ?? "") : ""} />
      ) : null}
    </>
  );
}

function newWork(wish: PracticeWish): PracticeWork {
  return {
    id: uuid(),
    seed: Number.parseInt(v4().slice(0, 8), 16),
    wish,
    readings: [],
    frame: [],
    naming: { family: "", roles: {}, fault: "none" },
  };
}
