"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { type ReactNode, useEffect, useState } from "react";
import { v4, v7 } from "uuid";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { type KeptWork, rememberedPerson, rememberPerson } from "./keptWork";
import { type PracticeTab, PracticeTabs } from "./PracticeTabs";

/** A task drawn: by its seed and wish the same on every machine. */
export interface DrawnTask<Wish> {
  readonly id: string;
  readonly seed: number;
  readonly wish: Wish;
}

interface Props<Wish, Work extends DrawnTask<Wish>, Grade> {
  readonly tab: PracticeTab;
  /** What is to be done, in a sentence or two. */
  readonly intro: string;
  readonly kept: KeptWork<Work>;
  readonly begun: (task: DrawnTask<Wish>) => Work;
  readonly setUp: (person: string, onBegin: (person: string, wish: Wish) => void) => ReactNode;
  readonly bench: (on: {
    readonly work: Work;
    readonly person: string;
    readonly onWork: (work: Work) => void;
    readonly onGrade: (grade: Grade) => void;
    readonly onGiveUp: () => void;
  }) => ReactNode;
  readonly result: (of: {
    readonly work: Work;
    readonly grade: Grade;
    readonly onAgain: () => void;
    readonly onOther: () => void;
  }) => ReactNode;
  /** Results so far, up to the one just handed in; "" where none was. */
  readonly progress: (person: string, upTo: string) => ReactNode;
}

/** The way through a practice of any kind: set up, work, the bench's word, and what came of it over time. */
export function PracticeRoom<Wish, Work extends DrawnTask<Wish>, Grade>(props: Props<Wish, Work, Grade>) {
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
        <PracticeTabs current={props.tab} />
        <Typography sx={{ mt: 3, mb: 5, color: "text.secondary", maxWidth: 640 }}>{props.intro}</Typography>
        <Course {...props} />
      </Box>
    </QueryClientProvider>
  );
}

function Course<Wish, Work extends DrawnTask<Wish>, Grade>({
  kept,
  begun,
  setUp,
  bench,
  result,
  progress,
}: Props<Wish, Work, Grade>) {
  // What this browser remembers is known only once it runs: until then nothing is shown that could be typed into.
  const [ready, setReady] = useState(false);
  const [person, setPerson] = useState("");
  const [work, setWork] = useState<Work | null>(null);
  const [grade, setGrade] = useState<Grade | null>(null);
  useEffect(() => {
    setPerson(rememberedPerson());
    setWork(kept.remembered());
    setReady(true);
  }, [kept]);
  if (!ready) return <Typography role="status">Laying out the bench …</Typography>;
  const keep = (next: Work | null) => {
    setWork(next);
    kept.remember(next);
  };
  const begin = (who: string, wish: Wish) => {
    setPerson(who);
    rememberPerson(who);
    setGrade(null);
    keep(begun({ id: v7(), seed: Number.parseInt(v4().slice(0, 8), 16), wish }));
  };
  const leave = () => {
    setGrade(null);
    keep(null);
  };
  const onGrade = (next: Grade) => {
    setGrade(next);
    kept.remember(null);
  };
  return (
    <>
      {!work
        ? setUp(person, begin)
        : grade
          ? result({ work, grade, onAgain: () => begin(person, work.wish), onOther: leave })
          : bench({ work, person, onWork: keep, onGrade, onGiveUp: leave })}
      {person !== "" && (!work || grade) ? progress(person, grade ? (work?.id ?? "") : "") : null}
    </>
  );
}
