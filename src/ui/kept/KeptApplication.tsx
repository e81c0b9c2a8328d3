"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { type ReactNode, useEffect, useState } from "react";
import { v7 as uuid } from "uuid";
import { JobFrame } from "../job/JobFrame";
import { JobProvider } from "../job/JobProvider";
import { StageScreen } from "../job/screens";
import { isStage } from "../job/stages";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { KeptHome } from "./KeptHome";
import { type KeptPlace, placeOf } from "./place";

const PracticePage = dynamic(() => import("../practice/PracticePage").then((m) => m.PracticePage));
const WiringPracticePage = dynamic(() =>
  import("../practice/WiringPracticePage").then((m) => m.WiringPracticePage),
);
const FaultPracticePage = dynamic(() =>
  import("../practice/FaultPracticePage").then((m) => m.FaultPracticePage),
);
const UnitPage = dynamic(() => import("../unit/UnitPage").then((m) => m.UnitPage));
const WordsPage = dynamic(() => import("../words/WordsPage").then((m) => m.WordsPage));
const StockPage = dynamic(() => import("../stock/StockPage").then((m) => m.StockPage));

/**
 * The application from what this device keeps, for any address of ours: the server is away, and the page finds out by
 * itself what it stands for. What needs the server says so.
 */
export function KeptApplication() {
  const [place, setPlace] = useState<KeptPlace | null>(null);
  useEffect(() => {
    const found = placeOf(window.location.pathname);
    if (found.at === "start") {
      const at = new URLSearchParams(window.location.search).get("at") ?? "";
      window.location.replace(`/jobs/${uuid()}/${isStage(at) ? at : "probe"}`);
    } else setPlace(found);
  }, []);
  return place === null ? null : screenOf(place);
}

function screenOf(place: KeptPlace): ReactNode {
  switch (place.at) {
    case "home":
      return <KeptHome />;
    case "job":
      return (
        <JobProvider id={place.job} first={null}>
          <JobFrame stage={place.stage}>
            <StageScreen stage={place.stage} />
          </JobFrame>
        </JobProvider>
      );
    case "unit":
      return <UnitPage id={place.unit} />;
    case "practice":
      return <PracticePage />;
    case "practice-wiring":
      return <WiringPracticePage />;
    case "practice-fault":
      return <FaultPracticePage />;
    case "stock":
      return <StockPage />;
    case "start":
      return null;
    case "words":
      return <WordsPage />;
    case "files":
      return (
        <Away>
          Files are brought in to the server and saved from it. It is there again when the server is.
        </Away>
      );
    case "truck":
      return (
        <Away>
          The truck plan counts past jobs and stock on the server. It is there again when the server is.
        </Away>
      );
    case "nowhere":
      return <Away>There is no such page here, and the server that may know it does not answer.</Away>;
  }
}

function Away({ children }: { children: ReactNode }) {
  return (
    <>
      <TopBar />
      <Box component="main" id={MAIN} sx={{ maxWidth: 720, mx: "auto", px: { xs: 4, md: 6 }, py: 10 }}>
        <Typography variant="h1" sx={{ mb: 4 }}>
          The server is away
        </Typography>
        <Typography sx={{ mb: 6 }}>{children}</Typography>
        <Button variant="contained" onClick={() => window.location.reload()}>
          Try again
        </Button>
      </Box>
    </>
  );
}
