"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { type KeyboardEvent, type MouseEvent, useRef, useState } from "react";
import { COLOUR_WORD, type ColourLetters, type Insulation, likelyColours, type Rgb } from "@/core";
import { Trouble } from "../parts/Trouble";
import { TOUCH } from "../theme/measures";
import { OfferedColors } from "./OfferedColors";
import { type Spot, usePhotoPatch } from "./usePhotoPatch";

/** What the next touch on the picture is of. */
type Of = "white" | "wire" | "stripe";

/** So many of the likeliest are offered, and none below this. */
const MOST_OFFERED = 4;
const WORTH_OFFERING = 0.03;
const NUDGE = 0.01;
const BEGIN: Spot = { x: 0.5, y: 0.5 };

/** Leads from a photo of the bundle: a touch on each wire, its color offered and confirmed. */
export function PhotoLeads({ onPick }: { onPick: (insulation: Insulation) => void }) {
  const { canvas, has, fault, load, colourAt } = usePhotoPatch();
  const input = useRef<HTMLInputElement>(null);
  const [of, setOf] = useState<Of>("white");
  const [white, setWhite] = useState<Rgb | null>(null);
  const [spot, setSpot] = useState<Spot>(BEGIN);
  const [seen, setSeen] = useState<Rgb | null>(null);
  const [base, setBase] = useState<ColourLetters | null>(null);
  const [close, setClose] = useState(false);
  const touch = (at: Spot) => {
    setSpot(at);
    const colour = colourAt(at);
    if (of === "white") {
      setWhite(colour);
      setOf("wire");
    } else setSeen(colour);
  };
  const offered = seen
    ? likelyColours(seen, white)
        .filter(({ probability }, i) => i === 0 || probability >= WORTH_OFFERING)
        .slice(0, MOST_OFFERED)
    : [];
  const take = (letters: ColourLetters) => {
    onPick(
      base === null
        ? { colour: COLOUR_WORD[letters] }
        : { colour: COLOUR_WORD[base], stripe: COLOUR_WORD[letters] },
    );
    setSeen(null);
    setBase(null);
    setOf("wire");
  };
  const onKey = (event: KeyboardEvent) => {
    const by = MOVES[event.key];
    if (!by && event.key !== "Enter") return;
    event.preventDefault();
    if (!by) touch(spot);
    else setSpot({ x: within(spot.x + by[0]), y: within(spot.y + by[1]) });
  };
  const onTouch = (event: MouseEvent) => {
    if (event.detail === 0) return;
    const box = event.currentTarget.getBoundingClientRect();
    touch({
      x: within((event.clientX - box.left) / box.width),
      y: within((event.clientY - box.top) / box.height),
    });
  };
  return (
    <Box component="section" aria-label="Leads from a photo" sx={{ mt: 3 }}>
      <Button color="inherit" sx={{ minHeight: TOUCH }} onClick={() => input.current?.click()}>
        {has ? "Another photo" : "Leads from a photo"}
      </Button>
      <Box
        component="input"
        ref={input}
        type="file"
        accept="image/*"
        aria-label="Photo of the lead bundle"
        tabIndex={-1}
        sx={{ position: "absolute", width: "1px", height: "1px", opacity: 0, pointerEvents: "none" }}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void load(file);
          event.target.value = "";
          setOf("white");
          setWhite(null);
          setSeen(null);
          setBase(null);
        }}
      />
      {fault === "" ? null : <Trouble sx={{ mt: 1 }}>{fault}</Trouble>}
      <Box hidden={!has} sx={{ mt: 2 }}>
        <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "center", mb: 1 }}>
          <Typography role="status" sx={{ fontWeight: 650, mr: "auto" }}>
            {ASKS[of]}
          </Typography>
          <Button
            size="small"
            color="inherit"
            aria-pressed={of === "white"}
            onClick={() => setOf(of === "white" ? "wire" : "white")}
            sx={{ minHeight: 44 }}
          >
            {of === "white" ? "Nothing white there" : "Touch white again"}
          </Button>
          <Button
            size="small"
            color="inherit"
            aria-pressed={close}
            onClick={() => setClose(!close)}
            sx={{ minHeight: 44 }}
          >
            {close ? "Whole picture" : "Closer"}
          </Button>
        </Box>
        <Box sx={{ overflow: "auto", maxHeight: 420, border: "1px solid", borderColor: "divider" }}>
          <Box
            component="button"
            type="button"
            aria-label={`Photo of the leads: ${ASKS[of]} Arrow keys move the mark, Enter touches.`}
            onClick={onTouch}
            onKeyDown={onKey}
            sx={{
              position: "relative",
              display: "block",
              width: close ? "300%" : "100%",
              p: 0,
              border: 0,
              bgcolor: "transparent",
              cursor: "crosshair",
            }}
          >
            <Box component="canvas" ref={canvas} sx={{ display: "block", width: "100%" }} />
            <Mark at={spot} />
          </Box>
        </Box>
        <OfferedColors
          offered={offered}
          base={base}
          onTake={take}
          onStriped={(letters) => {
            setBase(letters);
            setSeen(null);
            setOf("stripe");
          }}
        />
        <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mt: 1 }}>
          The picture stays on this page. Old insulation darkens: look at the wire itself before you confirm.
        </Typography>
      </Box>
    </Box>
  );
}

const ASKS: Readonly<Record<Of, string>> = {
  white: "Touch something white beside the wires: it tells the light.",
  wire: "Touch a wire.",
  stripe: "Now touch its stripe.",
};

const MOVES: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-NUDGE, 0],
  ArrowRight: [NUDGE, 0],
  ArrowUp: [0, -NUDGE],
  ArrowDown: [0, NUDGE],
};

function within(share: number): number {
  return Math.min(1, Math.max(0, share));
}

/** Where the picture was touched: a ring that shows on any ground. */
function Mark({ at }: { at: Spot }) {
  return (
    <Box
      component="span"
      aria-hidden="true"
      sx={{
        position: "absolute",
        left: `${at.x * 100}%`,
        top: `${at.y * 100}%`,
        width: 22,
        height: 22,
        transform: "translate(-50%,-50%)",
        border: "2px solid #fffdf7",
        outline: "2px solid #1a1613",
        borderRadius: "50%",
        pointerEvents: "none",
      }}
    />
  );
}
