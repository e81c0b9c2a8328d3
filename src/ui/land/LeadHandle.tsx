"use client";

import { type KeyboardEvent, type PointerEvent, useState } from "react";
import { CAPPED, type Point, type WiringDrawing } from "@/core/wiring";

interface Props {
  readonly lead: WiringDrawing["leads"][number];
  readonly drawing: WiringDrawing;
  readonly label: string;
  /** The terminal that the arrow keys stand on; null when the lead is not held. */
  readonly onTarget: (place: string | null) => void;
  /** Where a dragged lead hangs, in drawing units; null when it is let go. */
  readonly onHeld: (at: Point | null) => void;
  /** Where it would land if it were let go now; null where it would not. */
  readonly onAim: (to: string | null) => void;
  readonly onMove: (to: string) => void;
}

/** How near a dropped lead has to come to a terminal, in drawing units. */
const REACH = 26;
/** Dropped this near before its own row it is capped. */
const CAP_REACH = 90;
const HANDLE = { width: 222, height: 27 } as const;

/** A lead's name in the drawing as a handle: dragged to a terminal, or picked up by Enter and moved by the arrow keys. */
export function LeadHandle({ lead, drawing, label, onTarget, onHeld, onAim, onMove }: Props) {
  const [picked, setPicked] = useState<number | null>(null);
  const [at, setAt] = useState<Point | null>(null);
  const places = placesOf(drawing);
  const chosen = picked === null ? null : places[picked];
  const pick = (target: number | null) => {
    const place = target === null ? null : (places[target]?.id ?? null);
    setPicked(target);
    onTarget(place);
    onAim(place);
  };
  const hold = (point: Point | null) => {
    setAt(point);
    onHeld(point);
    onAim(point && landsOn(point));
  };
  const landsOn = (point: Point): string | null => {
    const near = places
      .flatMap(({ id, at: place }) =>
        place ? [{ id, away: Math.hypot(place.x - point.x, place.y - point.y) }] : [],
      )
      .sort((a, b) => a.away - b.away)[0];
    if (near && near.away < REACH) return near.id;
    return point.x < lead.at.x - 8 && point.x > lead.at.x - CAP_REACH ? CAPPED : null;
  };
  const pointOf = (event: PointerEvent<HTMLButtonElement>): Point => {
    const sheet = event.currentTarget.parentElement?.getBoundingClientRect();
    if (!sheet) return { x: 0, y: 0 };
    const scale = drawing.width / sheet.width;
    return { x: (event.clientX - sheet.left) * scale, y: (event.clientY - sheet.top) * scale };
  };
  const drop = () => {
    if (!at) return;
    const to = landsOn(at);
    hold(null);
    if (to !== null) onMove(to);
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.key === "Escape" && picked !== null) pick(null);
    else if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      if (chosen) onMove(chosen.id);
      pick(picked === null ? 0 : null);
    } else if (picked !== null && (event.key === "ArrowDown" || event.key === "ArrowUp")) {
      event.preventDefault();
      const step = event.key === "ArrowDown" ? 1 : -1;
      pick((picked + step + places.length) % places.length);
    }
  };
  return (
    <button
      type="button"
      aria-label={
        chosen
          ? `${label}: to ${chosen.name}? Enter lands it there, Escape leaves it.`
          : `${label}. Enter to move it.`
      }
      aria-pressed={picked !== null}
      onKeyDown={onKey}
      onBlur={() => picked !== null && pick(null)}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        hold(pointOf(event));
      }}
      onPointerMove={(event) => at && hold(pointOf(event))}
      onPointerUp={drop}
      onPointerCancel={() => hold(null)}
      style={{
        position: "absolute",
        left: `${((lead.at.x + 2) / drawing.width) * 100}%`,
        top: `${((lead.at.y - HANDLE.height / 2) / drawing.height) * 100}%`,
        width: `${(HANDLE.width / drawing.width) * 100}%`,
        height: `${(HANDLE.height / drawing.height) * 100}%`,
        padding: 0,
        border: picked === null && !at ? 0 : "2px solid currentColor",
        background: "transparent",
        color: "inherit",
        font: "inherit",
        cursor: "grab",
        touchAction: "none",
      }}
    >
      {chosen ? (
        <span
          style={{
            position: "absolute",
            right: 0,
            top: "-1.7em",
            padding: "0 6px",
            whiteSpace: "nowrap",
            background: "var(--mui-palette-text-primary)",
            color: "var(--mui-palette-background-paper)",
            fontWeight: 650,
          }}
        >
          → {chosen.name}
        </span>
      ) : null}
    </button>
  );
}

/** Everywhere a lead can go: terminals as they sit, joints, the capped end. */
function placesOf(drawing: WiringDrawing): { id: string; name: string; at: Point | null }[] {
  return [
    ...drawing.devices.flatMap(({ terminals, name: on }) =>
      terminals.map(({ id, name, at }) => ({ id, name: `${name}, ${on}`, at })),
    ),
    ...drawing.joints.map(({ id, name, x, y1 }) => ({ id, name, at: { x, y: y1 } })),
    { id: CAPPED, name: "capped on its own", at: null },
  ];
}
