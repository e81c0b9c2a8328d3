import Box from "@mui/material/Box";
import type { Lead } from "@/core";
import { MONO } from "../theme/measures";
import { paintOf } from "./insulation";

/** A lead's letters with a short piece of its wire beside them. */
export function LeadTag({ lead, name, large = false }: { lead: Lead; name: string; large?: boolean }) {
  const height = large ? 20 : 10;
  return (
    <Box
      component="span"
      sx={{ display: "inline-flex", alignItems: "center", gap: large ? 2 : 1, verticalAlign: "middle" }}
    >
      <WirePiece lead={lead} width={large ? 44 : 20} height={height} />
      <Box
        component="span"
        sx={{ fontFamily: MONO, fontWeight: 700, fontSize: large ? "2rem" : "1em", whiteSpace: "nowrap" }}
      >
        {name}
      </Box>
    </Box>
  );
}

/** A piece of insulated wire, striped where the lead is. */
export function WirePiece({ lead, width, height }: { lead: Lead; width: number; height: number }) {
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      <rect x="0.75" y="0.75" width={width - 1.5} height={height - 1.5} rx={2} fill={paintOf(lead.colour)} />
      {lead.stripe ? <path d={stripes(width, height)} fill={paintOf(lead.stripe)} /> : null}
      <rect
        x="0.75"
        y="0.75"
        width={width - 1.5}
        height={height - 1.5}
        rx={2}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.2"
      />
    </svg>
  );
}

/** Slanted bands along a wire, ten pixels apart. */
function stripes(width: number, height: number): string {
  const bands = Math.floor((width - 8) / 10) + 1;
  return Array.from(
    { length: bands },
    (_, i) => `M${i * 10 + 2} ${height - 0.75}l4 ${1.5 - height}h4l-4 ${height - 1.5}z`,
  ).join("");
}
