"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useMemo } from "react";
import { leadNames } from "@/core";
import { CONSEQUENCES, type WiringGrade, wiringTask } from "@/core/practice";
import { FRAME, wiringDrawing } from "@/core/wiring";
import { FindingList } from "../land/FindingList";
import { WiringDrawingView } from "../land/WiringDrawingView";
import { Verdict } from "../parts/Verdict";
import { useWords } from "../words/UsageProvider";
import { usePlaceName } from "../words/usePlaceName";
import type { WiringWork } from "./wiringState";

const NOBODY: ReadonlySet<string> = new Set();

interface Props {
  readonly work: WiringWork;
  readonly grade: WiringGrade;
  readonly onAgain: () => void;
  readonly onOther: () => void;
}

/** What the bench says of a wiring that was handed in, with the way it should be beside it. */
export function WiringResult({ work, grade, onAgain, onOther }: Props) {
  const placeName = usePlaceName();
  const words = useWords();
  const task = useMemo(() => wiringTask(work.seed, work.wish), [work.seed, work.wish]);
  const names = leadNames(task.leads);
  const name = (lead: string) => (lead === FRAME ? "frame" : (names.get(lead)?.short ?? lead));
  const { found } = grade;
  return (
    <Box
      component="section"
      aria-label="Result"
      sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 4 }}
    >
      <Box role="status">
        <Verdict
          weight={grade.right ? "good" : "again"}
          word={grade.right ? "Right" : task.wrong ? "Not yet found" : "Not like this"}
        />
        {found ? (
          <Typography sx={{ mt: 1 }}>
            {words(found.says)}{" "}
            {found.leadsRight ? "You named the wire." : "The wire you named is where it belongs."}{" "}
            {found.consequenceRight
              ? "And what it does."
              : `What it does: ${found.consequences.map((one) => CONSEQUENCES[one]).join("; ")}.`}
          </Typography>
        ) : null}
      </Box>
      <FindingList
        findings={grade.findings.filter(({ code }) => code !== "capped-volts")}
        label="What the bench saw"
        name={name}
        compartment={task.compartment}
      />
      <Typography variant="h2">As it should be</Typography>
      <Box
        tabIndex={0}
        role="group"
        aria-label="Drawing, pans sideways"
        sx={{ overflowX: "auto", border: "1px solid", borderColor: "divider", bgcolor: "background.paper" }}
      >
        <WiringDrawingView
          drawing={wiringDrawing(
            task.good,
            task.leads.map(({ id }) => id),
          )}
          wrong={NOBODY}
          leadOf={(lead) => task.leads.find(({ id }) => id === lead) ?? { id: lead }}
          name={name}
          placeOf={(lead) => placeName(task.compartment, task.good.landings[lead] ?? "")}
        />
      </Box>
      <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap" }}>
        <Button variant="contained" sx={{ minHeight: 56, px: 8 }} onClick={onAgain}>
          Another one
        </Button>
        <Button color="inherit" onClick={onOther}>
          Something else
        </Button>
      </Box>
    </Box>
  );
}
