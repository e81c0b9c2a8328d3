import type { Lead } from "@/core";
import { paintOf } from "./insulation";
import look from "./LeadTag.module.css";

/** A lead's letters with a short piece of its wire beside them. */
export function LeadTag({ lead, name, large = false }: { lead: Lead; name: string; large?: boolean }) {
  const height = large ? 20 : 10;
  return (
    <span className={large ? `${look.tag} ${look.large}` : look.tag}>
      <WirePiece lead={lead} width={large ? 44 : 20} height={height} />
      <span className={look.letters}>{name}</span>
    </span>
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
