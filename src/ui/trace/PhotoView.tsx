"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { styled } from "@mui/material/styles";
import { type KeyboardEvent, type MouseEvent, useState } from "react";
import type { Photo, Pin } from "@/core";
import { useJob } from "../job/JobContext";
import { KeptEntry } from "../parts/KeptEntry";

/** An own picture of the job, as the server keeps it. */
const Picture = styled("img")({ width: "100%", height: "auto", display: "block" });

/** How far an arrow key moves a pin, as a share of the photo. */
const NUDGE = 0.01;

/** A photo with its pins: touch it to set one, move one by dragging it elsewhere or with the arrow keys. */
export function PhotoView({
  photo,
  number,
  newPinId,
}: {
  photo: Photo;
  number: number;
  newPinId: () => string;
}) {
  const { id: jobId, job, add } = useJob("pins");
  const [moving, setMoving] = useState<string | null>(null);
  const pins = job.pins.filter((pin) => pin.photo === photo.id);
  const title = photo.caption || `photo ${number}`;
  const at = (event: MouseEvent): { x: number; y: number } => {
    // A key press has no place: its pin begins in the middle.
    if (event.detail === 0) return { x: 0.5, y: 0.5 };
    const box = event.currentTarget.getBoundingClientRect();
    const share = (value: number) => Math.min(1, Math.max(0, Number(value.toFixed(4))));
    return {
      x: share((event.clientX - box.left) / box.width),
      y: share((event.clientY - box.top) / box.height),
    };
  };
  const set = (event: MouseEvent) => {
    const moved = pins.find(({ id }) => id === moving);
    setMoving(null);
    add({
      kind: "pin",
      pin: moved ? { ...moved, ...at(event) } : { id: newPinId(), photo: photo.id, says: "", ...at(event) },
    });
  };
  const nudge = (event: KeyboardEvent, pin: Pin) => {
    const by: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-NUDGE, 0],
      ArrowRight: [NUDGE, 0],
      ArrowUp: [0, -NUDGE],
      ArrowDown: [0, NUDGE],
    };
    const step = by[event.key];
    if (!step) return;
    event.preventDefault();
    const inside = (value: number) => Math.min(1, Math.max(0, Number(value.toFixed(4))));
    add({ kind: "pin", pin: { ...pin, x: inside(pin.x + step[0]), y: inside(pin.y + step[1]) } });
  };
  return (
    <Box component="figure" aria-label={title} sx={{ m: 0 }}>
      <Box sx={{ position: "relative", border: "1px solid", borderColor: "divider", lineHeight: 0 }}>
        <Picture
          src={`/api/v1/jobs/${jobId}/photos/${photo.id}`}
          alt={`Compartment, ${title}${pins.length > 0 ? `: ${pins.map((pin, i) => `${i + 1} ${pin.says || "not named"}`).join(", ")}` : ""}`}
          width={photo.widthPx}
          height={photo.heightPx}
        />
        <Box
          component="button"
          type="button"
          aria-label={moving ? "Touch where the pin goes" : `Set a pin on ${title}`}
          onClick={set}
          sx={{
            position: "absolute",
            inset: 0,
            border: 0,
            bgcolor: "transparent",
            cursor: "crosshair",
            p: 0,
          }}
        />
        {pins.map((pin, i) => (
          <Box
            key={pin.id}
            component="button"
            type="button"
            aria-label={`Pin ${i + 1}, ${pin.says || "not named"}: arrow keys move it`}
            aria-pressed={moving === pin.id}
            onClick={() => setMoving(moving === pin.id ? null : pin.id)}
            onKeyDown={(event) => nudge(event, pin)}
            sx={{
              position: "absolute",
              left: `${pin.x * 100}%`,
              top: `${pin.y * 100}%`,
              transform: "translate(-50%,-50%)",
              minWidth: 30,
              height: 30,
              font: "inherit",
              lineHeight: 1,
              fontWeight: 700,
              color: "#fffdf7",
              bgcolor: "#1a1613",
              border: "2px solid #fffdf7",
              borderRadius: "3px",
              outline: moving === pin.id ? "3px solid #e59b5e" : undefined,
              cursor: "pointer",
            }}
          >
            {i + 1}
          </Box>
        ))}
      </Box>
      <Box component="figcaption" sx={{ display: "grid", gap: 1, mt: 1 }}>
        <Box sx={{ display: "flex", gap: 2, alignItems: "end" }}>
          <Box sx={{ flex: 1 }}>
            <KeptEntry
              label="What this photo shows"
              value={photo.caption}
              maxLength={80}
              placeholder={`photo ${number}`}
              onKeep={(caption) => {
                add({ kind: "photo", photo: { ...photo, caption: caption.trim() } });
                return null;
              }}
            />
          </Box>
          <Button
            size="small"
            color="inherit"
            sx={{ minHeight: 48 }}
            onClick={() => add({ kind: "photo-gone", photo: photo.id })}
          >
            Take the photo away
          </Button>
        </Box>
        {pins.map((pin, i) => (
          <Box key={pin.id} sx={{ display: "flex", gap: 2, alignItems: "end" }}>
            <Box sx={{ flex: 1 }}>
              <KeptEntry
                label={`Pin ${i + 1}`}
                value={pin.says}
                maxLength={60}
                placeholder="BK on T1"
                onKeep={(says) => {
                  add({ kind: "pin", pin: { ...pin, says: says.trim() } });
                  return null;
                }}
              />
            </Box>
            <Button
              size="small"
              color="inherit"
              sx={{ minHeight: 48 }}
              onClick={() => add({ kind: "pin-gone", pin: pin.id })}
            >
              Take pin {i + 1} off
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
