"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { memo, useRef, useState } from "react";
import { type CheckFinding, FRAME } from "@/core/wiring";
import { useForesee, useJob, useLeadNames } from "../job/JobContext";
import { Trouble } from "../parts/Trouble";
import { useSteady } from "../parts/useSteady";
import text from "../theme/text.module.css";
import { usePlaceWords } from "../words/UsageProvider";
import { usePlaceName } from "../words/usePlaceName";
import look from "./DrawingPanel.module.css";
import { HandChange } from "./HandChange";
import { litOf } from "./lit";
import panel from "./panelHead.module.css";
import { saveDrawingPdf, saveDrawingSvg } from "./saveDrawing";
import type { Steps } from "./useSteps";
import { useWireName } from "./useWireName";
import { WiringDrawingView } from "./WiringDrawingView";

interface Props {
  readonly work: Steps;
  readonly check: { readonly findings: readonly CheckFinding[] };
}

/** The wiring drawing of the plan, to print, to save, and to change by hand. */
export function DrawingPanel({ work, check }: Props) {
  const nameOf = usePlaceWords();
  const placeName = usePlaceName();
  const { job, add } = useJob("title");
  const { leadOf } = useLeadNames();
  const foresee = useForesee();
  const name = useWireName();
  const svg = useRef<SVGSVGElement>(null);
  const [trouble, setTrouble] = useState("");
  const { plan, drawing } = work;
  const wrong = new Set(
    check.findings.filter(({ weight }) => weight === "stop").flatMap(({ leads }) => leads),
  );
  const file = (job.title || "wiring").replace(/[^\p{L}\p{N}]+/gu, "-").toLowerCase();
  const move = useSteady((lead: string, to: string) => {
    if (plan.landings[lead] !== to) add({ kind: "moved", lead, to });
  });
  const aim = useSteady((lead: string, to: string | null) =>
    foresee(to === null || plan.landings[lead] === to ? null : { kind: "moved", lead, to }),
  );
  const saveSvg = useSteady(() => {
    if (svg.current) saveDrawingSvg(svg.current, file);
  });
  const savePdf = useSteady(() => {
    setTrouble("");
    saveDrawingPdf(drawing, {
      title: `${job.title || "Wiring"} — ${plan.title}`,
      name,
      nameOf,
      colourOf: (lead) => (lead === FRAME ? "green" : leadOf(lead).colour),
      file,
    }).catch(() => setTrouble("The PDF could not be made here. Print the page to a file instead."));
  });
  return (
    <section aria-label="Wiring drawing">
      <div className={panel.head}>
        <h2 className={`${text.h2} ${look.title}`}>{plan.title}</h2>
        <Files onSvg={saveSvg} onPdf={savePdf} />
      </div>
      {trouble ? <Trouble>{trouble}</Trouble> : null}
      <Box tabIndex={0} role="group" aria-label="Drawing, pans sideways" className={look.pan}>
        <WiringDrawingView
          ref={svg}
          drawing={drawing}
          wrong={wrong}
          leadOf={leadOf}
          name={name}
          placeOf={(lead) => placeName(plan.compartment, plan.landings[lead] ?? "")}
          lit={litOf(work.current, drawing)}
          onMove={move}
          onAim={aim}
        />
      </Box>
      <p className={`no-print ${text.text} ${text.faint} ${text.small} ${look.help}`}>
        Drag a lead’s name to a terminal, or press Enter on it and choose with the arrow keys. The check
        answers at once.
      </p>
      <HandChange onMove={move} onAim={aim} />
    </section>
  );
}

/** The drawing on paper and as a file; not drawn anew with every wire. */
const Files = memo(function Files({ onSvg, onPdf }: { onSvg: () => void; onPdf: () => void }) {
  return (
    <Box className="no-print" sx={{ display: "flex", gap: 2, flexWrap: "wrap" }}>
      <Button size="small" color="inherit" onClick={() => window.print()}>
        Print
      </Button>
      <Button size="small" color="inherit" onClick={onSvg}>
        Save SVG
      </Button>
      <Button size="small" color="inherit" onClick={onPdf}>
        Save PDF
      </Button>
    </Box>
  );
});
