"use client";

import Box from "@mui/material/Box";
import { memo, useState } from "react";
import type { Lead } from "@/core";
import { paintOf } from "../parts/insulation";
import { Mark } from "../parts/Verdict";
import { MONO, TOUCH } from "../theme/measures";
import { useJob } from "./JobContext";
import { type LoomLine, useLoom } from "./useLoom";

/** Every lead of the motor as a wire, with what is known of it so far: it stays with the job from stage to stage. */
export function Loom() {
  const { job } = useJob("leads");
  const wires = useLoom();
  const [open, setOpen] = useState(false);
  if (job.leads.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="Loom: the leads and what is known of each"
      className="no-print"
      sx={{
        px: { xs: 3, md: 6 },
        py: 2,
        borderBottom: "1px solid",
        borderColor: "divider",
        bgcolor: "background.paper",
      }}
    >
      <Folded wires={wires} open={open} onOpen={() => setOpen(!open)} />
      <Box
        component="ul"
        id="loom"
        sx={{ listStyle: "none", m: 0, p: 0, display: { xs: open ? "block" : "none", md: "block" } }}
      >
        {wires.map((wire) => (
          <LoomRow key={wire.lead.id} {...wire} />
        ))}
      </Box>
    </Box>
  );
}

/** One wire with what is known of it; drawn anew where that became another. */
const ROW = {
  display: "grid",
  gridTemplateColumns: {
    xs: "66px 62px minmax(0,1fr)",
    md: "88px minmax(120px,1fr) 330px 250px",
  },
  alignItems: "center",
  columnGap: 2,
  minHeight: 27,
  position: "relative",
  "& > :nth-of-type(1)": {
    fontFamily: MONO,
    fontWeight: 700,
    display: "flex",
    alignItems: "center",
    gap: 1,
  },
  "& > :nth-of-type(2)": { display: "flex", alignItems: "center" },
  "& > :nth-of-type(3)": {
    fontSize: { xs: "0.875rem", md: "0.9375rem" },
    fontWeight: 700,
    color: "primary.main",
  },
  "& > [data-known]": { color: "text.primary" },
  "& > [data-known='settled']": { fontWeight: 500, color: "success.main" },
  "& [data-doubt]": { color: "primary.main" },
  "& > span > [data-terminal]": { display: { xs: "inline", md: "none" }, color: "text.secondary" },
  "& > [data-terminal]": {
    display: { xs: "none", md: "block" },
    color: "text.secondary",
    fontSize: "0.9375rem",
  },
} as const;

const LoomRow = memo(function LoomRow({ lead, name, role, settled, doubt, joins, terminal }: LoomLine) {
  return (
    <Box component="li" sx={ROW}>
      <span>{name}</span>
      <span>
        {joins ? <Tie /> : null}
        <LoomWire lead={lead} settled={settled} />
      </span>
      <span data-known={settled ? "settled" : role ? "likely" : undefined}>
        {role ?? "not known yet"}
        {role && doubt ? <span data-doubt> — {doubt}</span> : null}
        <span data-terminal>{terminal ? ` → ${terminal}` : ""}</span>
      </span>
      <span data-terminal>{terminal ? `→ ${terminal}` : ""}</span>
    </Box>
  );
});

/** On a phone the loom is one line of leads with their marks, and opens by a touch. */
function Folded({ wires, open, onOpen }: { wires: readonly LoomLine[]; open: boolean; onOpen: () => void }) {
  const known = wires.filter(({ settled }) => settled).length;
  return (
    <Box
      component="button"
      type="button"
      aria-expanded={open}
      aria-controls="loom"
      aria-label={`${known} of ${wires.length} leads are known; ${open ? "fold" : "show each"}`}
      onClick={onOpen}
      sx={{
        display: { xs: "flex", md: "none" },
        flexWrap: "wrap",
        alignItems: "center",
        columnGap: 3,
        rowGap: 0.5,
        width: "100%",
        minHeight: TOUCH,
        p: 0,
        font: "inherit",
        color: "text.primary",
        bgcolor: "transparent",
        border: 0,
        cursor: "pointer",
      }}
    >
      {wires.map(({ lead, name, settled }) => (
        <FoldedLead key={lead.id} lead={lead} name={name} settled={settled} />
      ))}
      <Box component="span" aria-hidden="true" sx={{ ml: "auto", fontSize: "1.25rem" }}>
        {open ? "−" : "+"}
      </Box>
    </Box>
  );
}

const FoldedLead = memo(function FoldedLead({
  lead,
  name,
  settled,
}: Pick<LoomLine, "lead" | "name" | "settled">) {
  return (
    <Box component="span" sx={{ display: "inline-flex", alignItems: "center", gap: 0.75 }}>
      <Swatch lead={lead} />
      <Box component="span" sx={{ fontFamily: MONO, fontWeight: 700, fontSize: "0.9375rem" }}>
        {name}
      </Box>
      <Mark weight={settled ? "good" : "open"} size={14} />
    </Box>
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

/** A bonded wire is tied to the one above it. */
function Tie() {
  return (
    <Box
      component="span"
      sx={{
        position: "absolute",
        left: { xs: 82, md: 150 },
        top: "-50%",
        height: "100%",
        width: 3,
        bgcolor: "text.primary",
      }}
    />
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
