"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useId, useState } from "react";
import type { Offer } from "@/core/replacement";
import { Mark, Verdict } from "../parts/Verdict";

/** "No cautions, 4 to measure": what speaks against it, and what nobody has read of the old motor yet. */
function cautions(against: number, toMeasure: number): string {
  const first = against === 0 ? "No cautions" : against === 1 ? "1 caution" : `${against} cautions`;
  return toMeasure === 0 ? first : `${first}, ${toMeasure} to measure`;
}

/** One candidate with its reasons, the weightiest first; the rules' own words. */
export function OfferLine({
  offer,
  rank,
  chosen,
  onChoose,
}: {
  offer: Offer;
  rank: number;
  chosen: boolean;
  onChoose: () => void;
}) {
  const [open, setOpen] = useState(rank === 1);
  const id = useId();
  const { candidate, reasons, toCheck, toDo } = offer;
  const against = reasons.filter(({ weight }) => weight === "again").sort((a, b) => b.points - a.points);
  const good = reasons.filter(({ weight }) => weight === "good");
  return (
    <Box
      component="li"
      sx={{
        borderTop: "1px solid",
        borderColor: "divider",
        borderLeft: chosen ? "4px solid" : "0 solid",
        borderLeftColor: "primary.main",
        pl: chosen ? 3 : 0,
        py: 2,
      }}
    >
      <Box sx={{ display: "flex", gap: 3, alignItems: "center", flexWrap: "wrap" }}>
        <Box component="h3" sx={{ m: 0, fontSize: "1.0625rem", flex: "1 1 180px", minWidth: 0 }}>
          {rank}. {candidate.name}
        </Box>
        <Verdict
          weight={against.length === 0 && toCheck.length === 0 ? "good" : "again"}
          word={
            against.length === 0 && toCheck.length === 0
              ? "Like for like"
              : cautions(against.length, toCheck.length)
          }
        />
        <Box component="span" sx={{ color: "text.secondary", minWidth: 90 }}>
          {candidate.count > 0 ? `${candidate.count} on the truck` : "to order"}
        </Box>
        <Button
          variant={chosen ? "outlined" : "contained"}
          color={chosen ? "inherit" : "primary"}
          onClick={onChoose}
          aria-label={`${chosen ? "Chosen" : "Choose"}: ${candidate.name}`}
          aria-pressed={chosen}
          sx={{ minHeight: 48 }}
        >
          {chosen ? "Chosen" : "Choose"}
        </Button>
      </Box>
      <Button
        variant="text"
        color="inherit"
        size="small"
        aria-expanded={open}
        aria-controls={id}
        onClick={() => setOpen(!open)}
        sx={{ px: 0 }}
      >
        {open ? "Hide the reasons" : "Reasons"}
      </Button>
      <Box id={id} hidden={!open}>
        {open ? (
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {[
              ...toDo.map((one) => ({ ...one, weight: "good" as const })),
              ...against,
              ...toCheck.map((one) => ({ ...one, weight: "again" as const })),
              ...good,
            ].map(({ rule, says, weight }) => (
              <Box component="li" key={`${rule} ${says}`} sx={{ display: "flex", gap: 2, py: 0.5 }}>
                <Box component="span" sx={{ pt: 0.5 }}>
                  <Mark weight={weight === "good" ? "good" : "again"} size={16} />
                </Box>
                <span>{says}</span>
              </Box>
            ))}
          </Box>
        ) : null}
      </Box>
    </Box>
  );
}
