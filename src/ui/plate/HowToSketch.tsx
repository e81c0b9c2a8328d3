import type { ReactNode } from "react";
import type { PlateFieldId } from "@/core";

/** A picture of how a figure is got where no plate tells it; nothing for those that words tell as well. */
export function HowToSketch({ field }: { field: PlateFieldId }) {
  const drawn = SKETCHES[field];
  if (!drawn) return null;
  return (
    <svg
      width="112"
      height="84"
      viewBox="0 0 112 84"
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      style={{ flex: "none" }}
    >
      {drawn}
    </svg>
  );
}

const COPPER = "var(--mui-palette-primary-main)";

/** The motor from its side: body, shaft, leads. */
const BODY = (
  <>
    <rect x="30" y="22" width="48" height="40" rx="5" />
    <path d="M78 42h22M36 62v8M42 62v10" />
  </>
);

/** A measure between two marks, in the accent. */
function across(x1: number, y1: number, x2: number, y2: number): ReactNode {
  const [dx, dy] = y1 === y2 ? [0, 5] : [5, 0];
  return (
    <path
      stroke={COPPER}
      d={`M${x1} ${y1}L${x2} ${y2}M${x1 - dx} ${y1 - dy}l${2 * dx} ${2 * dy}M${x2 - dx} ${y2 - dy}l${2 * dx} ${2 * dy}`}
    />
  );
}

const SKETCHES: Partial<Record<PlateFieldId, ReactNode>> = {
  bodyDiameter: (
    <>
      {BODY}
      {across(20, 22, 20, 62)}
    </>
  ),
  bodyLength: (
    <>
      {BODY}
      {across(30, 12, 78, 12)}
    </>
  ),
  shaftDiameter: (
    <>
      <circle cx="56" cy="42" r="14" />
      <path d="M28 22v-8h56v8M28 22l14 20M84 22l-14 20" stroke={COPPER} />
    </>
  ),
  shaftLength: (
    <>
      {BODY}
      {across(78, 32, 100, 32)}
    </>
  ),
  boltCircle: (
    <>
      <circle cx="56" cy="42" r="32" strokeDasharray="4 4" />
      <circle cx="24" cy="42" r="4" />
      <circle cx="88" cy="42" r="4" />
      {across(24, 42, 88, 42)}
    </>
  ),
  rotation: (
    <>
      <circle cx="56" cy="42" r="6" />
      <path d="M56 42l-6-28M56 42l28 10M56 42l-22 18" />
      <path d="M34 22a30 30 0 0 1 44 0M78 22l-2-9M78 22l-9 0" stroke={COPPER} />
    </>
  ),
  volts: (
    <>
      <rect x="14" y="10" width="40" height="64" rx="3" />
      <circle cx="26" cy="26" r="4" />
      <circle cx="42" cy="26" r="4" />
      <rect x="70" y="22" width="32" height="42" rx="4" />
      <path d="M76 32h20v10H76z" />
      <path d="M78 64c-8 14-46 10-52-38M94 64c-4 22-50 12-52-38" stroke={COPPER} />
    </>
  ),
  phase: (
    <>
      <rect x="26" y="12" width="60" height="60" rx="3" />
      <path d="M40 12v28M56 12v28M72 12v28" stroke={COPPER} />
      <circle cx="40" cy="44" r="4" />
      <circle cx="56" cy="44" r="4" />
      <circle cx="72" cy="44" r="4" />
    </>
  ),
  amps: (
    <>
      <path d="M14 60h84" />
      <path d="M44 44a14 16 0 1 1 24 0" stroke={COPPER} />
      <rect x="46" y="44" width="20" height="32" rx="4" />
      <path d="M50 54h12" />
    </>
  ),
  kind: (
    <>
      <rect x="8" y="22" width="40" height="34" rx="4" />
      <path d="M16 56v14M24 56v18M32 56v14" />
      <rect x="64" y="22" width="40" height="34" rx="4" />
      <path d="M74 56v8h20v-8M78 64v10M84 64v10M90 64v10" stroke={COPPER} />
    </>
  ),
  mount: (
    <>
      <circle cx="56" cy="42" r="24" />
      <path d="M56 18v-8M30 42H10M82 42h20M40 60l-14 14M72 60l14 14" stroke={COPPER} />
    </>
  ),
  speed: (
    <>
      <circle cx="36" cy="42" r="20" />
      <path d="M36 42V24" stroke={COPPER} />
      <rect x="72" y="28" width="30" height="28" rx="4" />
      <path d="M72 42H58" strokeDasharray="3 3" stroke={COPPER} />
    </>
  ),
  speeds: (
    <>
      <rect x="10" y="26" width="36" height="32" rx="4" />
      <path d="M46 32h50M46 42h50M46 52h50" stroke={COPPER} />
    </>
  ),
};
