"use client";

import Box from "@mui/material/Box";
import { memo, type ReactNode, useEffect, useState } from "react";
import {
  familyById,
  type Identification,
  isHiddenEnd,
  ohmsDigits,
  type Role,
  type WindingPicture,
  windingPicture,
} from "@/core";
import { useAnswer, useJob, useLeadNames, useWorking } from "../job/JobContext";
import { Fold } from "../parts/Fold";
import slow from "../parts/slow.module.css";
import { MONO } from "../theme/faces";
import text from "../theme/text.module.css";
import { useWords } from "../words/UsageProvider";
import { AnswerChoice } from "./AnswerChoice";
import { isShown } from "./isShown";
import look from "./WindingDrawing.module.css";

const UNIT_X = 118;
const UNIT_Y = 92;
/** Below this share of its natural size the drawing is panned, not shrunk further. */
const SMALLEST_SCALE = 0.72;
const MARGIN_X = 46;
const MARGIN_Y = 46;

/** The winding as a technician would sketch it: coils in a row, the start winding where it joins, ohms on each. */
export function WindingDrawing() {
  const answer = useAnswer();
  if (!answer || answer.sections.length === 0) return null;
  if (!isShown(answer)) {
    return (
      <Fading>
        <Fold
          title="Ways it may be wound"
          summary={`not known yet: ${answer.alternatives.length + 1} likeliest`}
        >
          <Drawn answer={answer} />
        </Fold>
      </Fading>
    );
  }
  return (
    <Fading label="Winding">
      <h2 className={`${text.h2} ${look.heading}`}>Winding</h2>
      <Drawn answer={answer} />
    </Fading>
  );
}

/** Faded while readings are weighed that it does not know of; what is inside is not drawn anew for that. */
function Fading({ label, children }: { label?: string; children: ReactNode }) {
  const fades = useWorking() ? slow.fades : undefined;
  return label === undefined ? (
    <div className={fades}>{children}</div>
  ) : (
    <section aria-label={label} className={fades}>
      {children}
    </section>
  );
}

/** The drawing and which answer it is of: drawn anew with another answer, and not while one is being worked out. */
const Drawn = memo(function Drawn({ answer }: { answer: Identification }) {
  const words = useWords();
  const { job } = useJob("meter");
  const { short } = useLeadNames();
  const [chosen, setChosen] = useState(0);
  const best = JSON.stringify([answer.family, answer.roles]);
  useEffect(() => {
    // Another best answer than before: what was chosen belongs to the old one.
    if (best !== "") setChosen(0);
  }, [best]);
  const other = chosen === 0 ? undefined : answer.alternatives[chosen - 1];
  const { sections, bonded, roles } = other ?? answer;
  const family = familyById((other ?? answer).family);
  const picture = windingPicture(sections, bonded);
  const width = picture.width * UNIT_X + 2 * MARGIN_X;
  const height = picture.height * UNIT_Y + MARGIN_Y + 34;
  const digits = (ohms: number) => ohmsDigits(ohms, job.meter.resolutionOhms);
  const told = picture.coils
    .map(
      (c) =>
        `${endName(c.between[0], short)} to ${endName(c.between[1], short)} ${digits(c.ohms)} ohms, ${c.winding} winding`,
    )
    .join("; ");
  return (
    <>
      <AnswerChoice chosen={chosen} onChoose={setChosen} />
      {other ? (
        <div className={look.other}>
          <p className={`${text.text} ${text.capital}`}>{words(family?.title ?? "")}:</p>
          <p className={look.roles}>
            {Object.entries(roles)
              .map(([lead, role]) => `${short(lead)} ${roleShort(role)}`)
              .join(" · ")}
          </p>
        </div>
      ) : null}
      <Box className={look.pan} tabIndex={0} role="group" aria-label="Winding drawing">
        <svg
          width="100%"
          style={{ maxWidth: width, minWidth: width * SMALLEST_SCALE }}
          viewBox={`0 0 ${width} ${height}`}
          role="img"
          aria-label={`Winding drawing: ${told}`}
        >
          {picture.coils.map((coil) => (
            <Coil
              key={coil.between.join()}
              coil={coil}
              text={`${digits(coil.ohms)} Ω`}
              spread={`±${digits(coil.uncertaintyOhms)}`}
            />
          ))}
          {picture.junctions.map((junction) => (
            <Junction key={junction.name} junction={junction} short={short} />
          ))}
        </svg>
      </Box>
    </>
  );
});

function roleShort({ role, rank, group }: Role): string {
  return [role, rank ?? group].filter((part) => part !== undefined).join(" ");
}

function endName(name: string, short: (lead: string) => string): string {
  return isHiddenEnd(name) ? "a hidden joint" : short(name);
}

function place(point: { x: number; y: number }): { x: number; y: number } {
  return { x: MARGIN_X + point.x * UNIT_X, y: MARGIN_Y + point.y * UNIT_Y };
}

type CoilShape = WindingPicture["coils"][number];

function Coil({ coil, text, spread }: { coil: CoilShape; text: string; spread: string }) {
  const from = place(coil.from);
  const to = place(coil.to);
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const angle = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
  const upright = Math.abs(angle) > 45;
  const start = coil.winding === "start";
  const tone = start ? "var(--mui-palette-primary-main)" : "currentColor";
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const label = upright
    ? { x: middle.x + 20, y: middle.y + 10, anchor: "start" as const }
    : { x: middle.x, y: middle.y - 14, anchor: "middle" as const };
  return (
    <>
      <g transform={`translate(${from.x} ${from.y}) rotate(${angle})`}>
        <path d={coilPath(length)} fill="none" stroke={tone} strokeWidth="2.4" />
      </g>
      <text
        x={label.x}
        y={label.y}
        textAnchor={label.anchor}
        fill={tone}
        fontFamily={MONO}
        fontSize="16"
        fontWeight="700"
      >
        {text}
      </text>
      <text
        x={label.x}
        y={label.y - 18}
        textAnchor={label.anchor}
        fill="var(--mui-palette-text-secondary)"
        fontFamily={MONO}
        fontSize="13"
      >
        {coil.winding} {spread}
      </text>
    </>
  );
}

/** A coil of four half turns in the middle of a straight run of the given length, along the x axis. */
function coilPath(length: number): string {
  const turn = 14;
  const lead = (length - 4 * turn) / 2;
  const turns = Array.from({ length: 4 }, () => `a${turn / 2} ${turn / 2} 0 0 1 ${turn} 0`).join("");
  return `M0 0h${lead}${turns}h${lead}`;
}

type JunctionShape = WindingPicture["junctions"][number];

function Junction({ junction, short }: { junction: JunctionShape; short: (lead: string) => string }) {
  const { x, y } = place(junction.at);
  if (junction.leads.length === 0) {
    return (
      <circle cx={x} cy={y} r="4" fill="none" stroke="currentColor" strokeWidth="2" strokeDasharray="2 2" />
    );
  }
  return (
    <>
      <circle cx={x} cy={y} r="5" fill="currentColor" />
      <text
        x={x}
        y={y + 22}
        textAnchor="middle"
        fill="currentColor"
        fontFamily={MONO}
        fontSize="15"
        fontWeight="700"
      >
        {junction.leads.map(short).join(" = ")}
      </text>
    </>
  );
}
