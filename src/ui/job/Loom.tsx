"use client";

import { memo, useState } from "react";
import type { Lead } from "@/core";
import { paintOf } from "../parts/insulation";
import { Mark } from "../parts/Verdict";
import { useJob } from "./JobContext";
import look from "./Loom.module.css";
import { type LoomLine, useLoom } from "./useLoom";

/** Every lead of the motor as a wire, with what is known of it so far: it stays with the job from stage to stage. */
export function Loom() {
  const { job } = useJob("leads");
  const wires = useLoom();
  const [open, setOpen] = useState(false);
  if (job.leads.length === 0) return null;
  return (
    <section aria-label="Loom: the leads and what is known of each" className={`no-print ${look.loom}`}>
      <Folded wires={wires} open={open} onOpen={() => setOpen(!open)} />
      <ul id="loom" className={look.wires} data-open={open}>
        {wires.map((wire) => (
          <LoomRow key={wire.lead.id} {...wire} />
        ))}
      </ul>
    </section>
  );
}

/** One wire with what is known of it; drawn anew where that became another. */
const LoomRow = memo(function LoomRow({ lead, name, role, settled, doubt, joins, terminal }: LoomLine) {
  return (
    <li className={look.row}>
      <span className={look.name}>{name}</span>
      <span className={look.wire}>
        {joins ? <span className={look.tie} /> : null}
        <LoomWire lead={lead} settled={settled} />
      </span>
      <span className={look.role} data-known={settled ? "settled" : role ? "likely" : undefined}>
        {role ?? "not known yet"}
        {role && doubt ? <span className={look.doubt}> — {doubt}</span> : null}
        <span className={look.within}>{terminal ? ` → ${terminal}` : ""}</span>
      </span>
      <span className={look.terminal}>{terminal ? `→ ${terminal}` : ""}</span>
    </li>
  );
});

/** On a phone the loom is one line of leads with their marks, and opens by a touch. */
function Folded({ wires, open, onOpen }: { wires: readonly LoomLine[]; open: boolean; onOpen: () => void }) {
  const known = wires.filter(({ settled }) => settled).length;
  return (
    <button
      type="button"
      aria-expanded={open}
      aria-controls="loom"
      aria-label={`${known} of ${wires.length} leads are known; ${open ? "fold" : "show each"}`}
      onClick={onOpen}
      className={look.folded}
    >
      {wires.map(({ lead, name, settled }) => (
        <FoldedLead key={lead.id} lead={lead} name={name} settled={settled} />
      ))}
      <span aria-hidden="true" className={look.more}>
        {open ? "−" : "+"}
      </span>
    </button>
  );
}

const FoldedLead = memo(function FoldedLead({
  lead,
  name,
  settled,
}: Pick<LoomLine, "lead" | "name" | "settled">) {
  return (
    <span className={look.lead}>
      <Swatch lead={lead} />
      <span className={look.letters}>{name}</span>
      <Mark weight={settled ? "good" : "open"} size={14} />
    </span>
  );
});

/** A short piece of the insulation. */
function Swatch({ lead }: { lead: Lead }) {
  return (
    <svg width="18" height="9" viewBox="0 0 18 9" aria-hidden="true">
      <rect x="0.75" y="0.75" width="16.5" height="7.5" fill={paintOf(lead.colour)} stroke="currentColor" />
      {lead.stripe ? <path d="M4 8l4-7M10 8l4-7" stroke={paintOf(lead.stripe)} strokeWidth="2.5" /> : null}
    </svg>
  );
}

/**
 * The wire itself. Settled wires run straight through; an odd one, still unknown, waves and stops short.
 */
function LoomWire({ lead, settled }: { lead: Lead; settled: boolean }) {
  const path = settled ? "M0 13H400" : "M0 13H150C190 13 190 4 220 4S250 22 280 22S310 13 330 13";
  return (
    <svg
      viewBox="0 0 400 26"
      preserveAspectRatio="none"
      width="100%"
      height="26"
      aria-hidden="true"
      overflow="visible"
    >
      <path
        d={path}
        fill="none"
        stroke="currentColor"
        strokeWidth={settled ? 7 : 9}
        vectorEffect="non-scaling-stroke"
        opacity={settled ? 0.55 : 1}
      />
      <path
        d={path}
        fill="none"
        stroke={paintOf(lead.colour)}
        strokeWidth={settled ? 5 : 7}
        vectorEffect="non-scaling-stroke"
      />
      {lead.stripe ? (
        <path
          d={path}
          fill="none"
          stroke={paintOf(lead.stripe)}
          strokeWidth={settled ? 5 : 7}
          strokeDasharray="7 11"
          vectorEffect="non-scaling-stroke"
        />
      ) : null}
    </svg>
  );
}
