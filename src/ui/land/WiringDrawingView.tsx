"use client";

import { dequal } from "dequal/lite";
import { memo, type Ref, useState } from "react";
import type { Lead } from "@/core";
import { type DrawnDevice, type DrawnWire, FRAME, type Point, type WiringDrawing } from "@/core/wiring";
import { paintOf } from "../parts/insulation";
import { MONO } from "../theme/faces";
import { usePlaceWords } from "../words/UsageProvider";
import { DeviceSymbol } from "./DeviceSymbol";
import { LeadHandle } from "./LeadHandle";
import { type DrawnPart, isLitDevice, isLitWire, type Lit, shade } from "./lit";

interface Props {
  readonly ref?: Ref<SVGSVGElement>;
  readonly drawing: WiringDrawing;
  /** Leads that the check stops at. */
  readonly wrong: ReadonlySet<string>;
  /** Leads that stand live; none are marked where left out. */
  readonly live?: ReadonlySet<string>;
  readonly leadOf: (lead: string) => Lead;
  readonly name: (lead: string) => string;
  readonly placeOf: (lead: string) => string;
  /** What the step at hand is about: it stands out, everything else is faint. Nothing is where left out. */
  readonly lit?: Lit | null;
  /** The part of the drawing that is shown, for a strip of it; the whole where left out. */
  readonly part?: DrawnPart;
  /** Left out where the drawing is only looked at. */
  readonly onMove?: (lead: string, to: string) => void;
  /** Told where a held lead would land; null where it would not. */
  readonly onAim?: (lead: string, to: string | null) => void;
}

/** A wiring drawing as SVG: colours of insulation with their letters, everything else in the ink of the page. */
export function WiringDrawingView({
  ref,
  drawing,
  wrong,
  live,
  leadOf,
  name,
  placeOf,
  lit = null,
  part,
  onMove,
  onAim,
}: Props) {
  const [target, setTarget] = useState<string | null>(null);
  const [held, setHeld] = useState<{ lead: string; at: Point } | null>(null);
  const told = drawing.leads.map(({ id }) => `${name(id)} to ${placeOf(id)}`).join("; ");
  return (
    <div
      style={{
        position: "relative",
        minWidth: part ? 0 : Math.min(drawing.width, SMALLEST_WIDTH),
        maxWidth: drawing.width * LARGEST_SCALE,
        margin: "0 auto",
      }}
    >
      <svg
        ref={ref}
        viewBox={
          part ? `${part.x} ${part.y} ${part.width} ${part.height}` : `0 0 ${drawing.width} ${drawing.height}`
        }
        style={{ display: "block", width: "100%" }}
        role="img"
        aria-label={`Wiring drawing: ${told}`}
      >
        {drawing.devices.map((device) => (
          <g key={device.id} data-shade="" opacity={shade(lit, isLitDevice(lit, device, drawing))}>
            <DeviceBox
              device={device}
              chosen={device.terminals.some(({ id }) => id === target) ? target : null}
              marked={lit?.device === device.id}
            />
          </g>
        ))}
        {[...drawing.wires].sort(leadsOnTop).map((wire) => (
          <g key={wire.id} data-shade="" opacity={shade(lit, isLitWire(lit, wire))}>
            {isLitWire(lit, wire) ? <Glow points={wire.points} /> : null}
            <WireLine
              wire={wire}
              lead={wire.lead ? leadOf(wire.lead) : null}
              live={live?.has(wire.lead ?? "") ?? false}
            />
          </g>
        ))}
        {drawing.joints.map(({ id, name: joint, x, y1, y2 }) => (
          <g key={id}>
            <rect x={x - 5} y={y1 - 9} width="10" height={y2 - y1 + 18} rx="5" fill="currentColor" />
            <text x={x + 9} y={y1 - 9} fontSize="12" fill="currentColor">
              {joint}
            </text>
            {target === id ? <Ring x={x} y={y1} /> : null}
          </g>
        ))}
        {drawing.leads.map(({ id, at, cap }) => (
          <g key={id} data-shade="" opacity={shade(lit, lit?.lead === id)}>
            {cap ? <Cap x={cap.x} y={cap.y} /> : null}
            {wrong.has(id) ? <WrongFrame x={at.x} y={at.y} /> : null}
            <LeadText
              id={id}
              x={at.x}
              y={at.y}
              name={name(id)}
              place={placeOf(id)}
              wrong={wrong.has(id)}
              live={live?.has(id) ?? false}
            />
          </g>
        ))}
        {held ? <Ring x={held.at.x} y={held.at.y} /> : null}
      </svg>
      {onMove
        ? drawing.leads.map((lead) => (
            <LeadHandle
              key={lead.id}
              lead={lead}
              drawing={drawing}
              label={`${name(lead.id)}: ${placeOf(lead.id)}`}
              onTarget={setTarget}
              onHeld={(at) => setHeld(at && { lead: lead.id, at })}
              onAim={(to) => onAim?.(lead.id, to)}
              onMove={(to) => onMove(lead.id, to)}
            />
          ))
        : null}
    </div>
  );
}

/** On a small screen the drawing keeps this width and is panned. */
const SMALLEST_WIDTH = 640;
const LARGEST_SCALE = 1.25;

/** A broad band under the wire that is meant. */
function Glow({ points }: { points: readonly Point[] }) {
  return (
    <path
      data-glow=""
      d={`M${points.map(({ x, y }) => `${x} ${y}`).join("L")}`}
      fill="none"
      stroke="var(--mui-palette-primary-main)"
      strokeWidth="15"
      strokeLinejoin="round"
      opacity="0.35"
    />
  );
}

function Ring({ x, y }: Point) {
  return <circle cx={x} cy={y} r="11" fill="none" stroke="currentColor" strokeWidth="3" />;
}

/** A broken frame around a lead that the check stops at. */
function WrongFrame({ x, y }: Point) {
  return (
    <rect
      x={x + 2}
      y={y - 12.5}
      width="218"
      height="25"
      fill="none"
      stroke="currentColor"
      strokeWidth="2.5"
      strokeDasharray="6 4"
    />
  );
}

/** Leads are drawn over the wires of the equipment. */
function leadsOnTop(a: DrawnWire, b: DrawnWire): number {
  return Number(a.kind === "lead") - Number(b.kind === "lead");
}

interface DeviceProps {
  readonly device: DrawnDevice;
  /** The terminal of it that the arrow keys stand on; null for none. */
  readonly chosen: string | null;
  readonly marked: boolean;
}

// Every wire that moves makes another drawing, of which most is as it was: that is not drawn anew.
const DeviceBox = memo(DrawnDeviceBox, dequal);
const WireLine = memo(DrawnWireLine, dequal);
const LeadText = memo(DrawnLeadText);

function DrawnDeviceBox({ device, chosen, marked }: DeviceProps) {
  const words = usePlaceWords();
  return (
    <g>
      <rect
        x={device.x}
        y={device.y}
        width={device.width}
        height={device.height}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.5"
      />
      {marked ? (
        <rect
          data-glow=""
          x={device.x}
          y={device.y}
          width={device.width}
          height={device.height}
          fill="none"
          stroke="var(--mui-palette-primary-main)"
          strokeWidth="5"
        />
      ) : null}
      <text x={device.x + 10} y={device.y + 17} fontSize="14" fontWeight="700" fill="currentColor">
        {words(device.name)}
      </text>
      {device.note ? (
        <text
          x={device.x + device.width - 10}
          y={device.y + 17}
          fontSize="11.5"
          textAnchor="end"
          fill="currentColor"
        >
          {device.note}
        </text>
      ) : null}
      {device.symbols.map((symbol) => (
        <DeviceSymbol key={JSON.stringify(symbol)} symbol={symbol} />
      ))}
      {device.terminals.map(({ id, name, feed, at, used }) => (
        <g key={id} opacity={used ? 1 : 0.62}>
          <text
            x={at.x - 14}
            y={at.y + 5}
            fontSize="14"
            textAnchor="end"
            fontFamily={MONO}
            fill="currentColor"
          >
            {words(name)}
          </text>
          {feed ? (
            <text x={device.x + 12} y={at.y + 4} fontSize="11" fill="currentColor">
              {shorten(feed, name.length > 7 ? 16 : 24)}
            </text>
          ) : null}
          <circle
            cx={at.x}
            cy={at.y}
            r={used ? 5 : 4}
            fill={used ? "currentColor" : "none"}
            stroke="currentColor"
            strokeWidth="1.5"
          />
          <path d={`M${device.x} ${at.y}h6`} stroke="currentColor" strokeWidth={used ? 1.5 : 0} />
          {chosen === id ? (
            <circle cx={at.x} cy={at.y} r="11" fill="none" stroke="currentColor" strokeWidth="3" />
          ) : null}
        </g>
      ))}
    </g>
  );
}

function DrawnWireLine({ wire, lead, live }: { wire: DrawnWire; lead: Lead | null; live: boolean }) {
  const d = `M${wire.points.map(({ x, y }) => `${x} ${y}`).join("L")}`;
  const line = { fill: "none", strokeLinejoin: "round", d } as const;
  if (wire.kind === "equipment")
    return <path {...line} stroke="currentColor" strokeWidth="1.6" opacity="0.7" />;
  if (wire.kind === "jumper") return <path {...line} stroke="currentColor" strokeWidth="3" />;
  if (wire.lead === FRAME)
    return (
      <>
        <path {...line} stroke="currentColor" strokeWidth="6" />
        <path {...line} stroke={paintOf("green")} strokeWidth="3.6" />
        <path {...line} stroke={paintOf("yellow")} strokeWidth="3.6" strokeDasharray="7 9" />
      </>
    );
  return (
    <>
      <path {...line} stroke="currentColor" strokeWidth={live ? 8 : 6} />
      <path {...line} stroke={paintOf(lead?.colour)} strokeWidth={live ? 5 : 3.8} />
      {lead?.stripe ? (
        <path {...line} stroke={paintOf(lead.stripe)} strokeWidth="3.8" strokeDasharray="6 10" />
      ) : null}
    </>
  );
}

/** A capped end: a hood over the wire. */
function Cap({ x, y }: { x: number; y: number }) {
  return <path d={`M${x + 9} ${y - 7}h-8a7 7 0 0 0 0 14h8z`} fill="currentColor" />;
}

function DrawnLeadText({
  id,
  x,
  y,
  name,
  place,
  wrong,
  live,
}: {
  id: string;
  x: number;
  y: number;
  name: string;
  place: string;
  wrong: boolean;
  live: boolean;
}) {
  return (
    <>
      <text x={x + 10} y={y + 5} fontSize="15" fontWeight="700" fontFamily={MONO} fill="currentColor">
        {id === FRAME ? "GN/YE" : name}
      </text>
      <text
        x={x + 10 + Math.max(58, 9.2 * (id === FRAME ? 5 : name.length) + 12)}
        y={y + 5}
        fontSize="12.5"
        fill="currentColor"
      >
        {`${wrong ? "✕ " : ""}${live ? "live · " : ""}${shorten(place, 24)}`}
      </text>
    </>
  );
}

function shorten(text: string, most: number): string {
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}
